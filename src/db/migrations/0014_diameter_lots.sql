CREATE TABLE "diameter_lot_specimens" (
	"lot_id" uuid NOT NULL,
	"specimen_id" uuid NOT NULL,
	"place" integer NOT NULL,
	"drawn" boolean NOT NULL,
	CONSTRAINT "diameter_lot_specimens_lot_id_specimen_id_pk" PRIMARY KEY("lot_id","specimen_id")
);
--> statement-breakpoint
CREATE TABLE "diameter_lots" (
	"id" uuid PRIMARY KEY NOT NULL,
	"lot" text NOT NULL,
	"seed" integer NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"by" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "diameter_lot_specimens" ADD CONSTRAINT "diameter_lot_specimens_lot_id_diameter_lots_id_fk" FOREIGN KEY ("lot_id") REFERENCES "public"."diameter_lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "diameter_lot_specimens" ADD CONSTRAINT "diameter_lot_specimens_specimen_id_specimens_id_fk" FOREIGN KEY ("specimen_id") REFERENCES "public"."specimens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "diameter_lots" ADD CONSTRAINT "diameter_lots_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "diameter_lot_specimens_specimen_id_index" ON "diameter_lot_specimens" USING btree ("specimen_id");