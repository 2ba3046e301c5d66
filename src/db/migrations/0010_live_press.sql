CREATE TABLE "press_feeds" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"machine" text NOT NULL,
	"boot" text NOT NULL,
	"from_seq" bigint NOT NULL,
	"opened_at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	"closed_at" timestamp with time zone,
	"to_seq" bigint
);
--> statement-breakpoint
CREATE TABLE "press_readings" (
	"feed_id" uuid NOT NULL,
	"first_seq" bigint NOT NULL,
	"last_seq" bigint NOT NULL,
	"count" integer NOT NULL,
	"missing" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"lines" "bytea" NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "press_readings_feed_id_first_seq_pk" PRIMARY KEY("feed_id","first_seq")
);
--> statement-breakpoint
ALTER TABLE "equipment" ADD COLUMN "machine" jsonb;--> statement-breakpoint
ALTER TABLE "press_feeds" ADD CONSTRAINT "press_feeds_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "press_feeds" ADD CONSTRAINT "press_feeds_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "press_readings" ADD CONSTRAINT "press_readings_feed_id_press_feeds_id_fk" FOREIGN KEY ("feed_id") REFERENCES "public"."press_feeds"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "press_feeds_run_id_index" ON "press_feeds" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "press_feeds_closed_at_index" ON "press_feeds" USING btree ("closed_at");