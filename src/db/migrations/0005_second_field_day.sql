CREATE SCHEMA "practice";
--> statement-breakpoint
CREATE TABLE "batches" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"placement_id" uuid NOT NULL,
	"ticket" text NOT NULL,
	"batch" jsonb NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "batches_placement_id_ticket_unique" UNIQUE("placement_id","ticket")
);
--> statement-breakpoint
CREATE TABLE "cards" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"person_id" text NOT NULL,
	"number" text NOT NULL,
	"methods" jsonb NOT NULL,
	"issued_on" date NOT NULL,
	"expires_on" date NOT NULL,
	"withdrawn_on" date,
	"withdrawn_reason" text,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "storage_duties" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"storage_id" uuid NOT NULL,
	"duty" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	"lowest" text,
	"highest" text,
	"note" text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE TABLE "storages" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"rows" integer NOT NULL,
	"columns" integer NOT NULL,
	"volume" text,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "storages_name_unique" UNIQUE("name")
);
--> statement-breakpoint
CREATE TABLE "practice"."attempts" (
	"id" uuid PRIMARY KEY NOT NULL,
	"person_id" text NOT NULL,
	"drill" text NOT NULL,
	"seed" integer NOT NULL,
	"timed" boolean NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	"finished_at" timestamp with time zone NOT NULL,
	"passed" boolean NOT NULL,
	"score" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "specimen_events" ADD COLUMN "storage_id" uuid;--> statement-breakpoint
ALTER TABLE "specimen_events" ADD COLUMN "position" text;--> statement-breakpoint
ALTER TABLE "attachments" ADD COLUMN "place" text;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "device_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "steady_ms" bigint;--> statement-breakpoint
ALTER TABLE "batches" ADD CONSTRAINT "batches_placement_id_placements_id_fk" FOREIGN KEY ("placement_id") REFERENCES "public"."placements"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batches" ADD CONSTRAINT "batches_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cards" ADD CONSTRAINT "cards_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cards" ADD CONSTRAINT "cards_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "storage_duties" ADD CONSTRAINT "storage_duties_storage_id_storages_id_fk" FOREIGN KEY ("storage_id") REFERENCES "public"."storages"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "storage_duties" ADD CONSTRAINT "storage_duties_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "practice"."attempts" ADD CONSTRAINT "attempts_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cards_person_id_index" ON "cards" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "storage_duties_storage_id_duty_at_index" ON "storage_duties" USING btree ("storage_id","duty","at");--> statement-breakpoint
CREATE INDEX "attempts_person_id_finished_at_index" ON "practice"."attempts" USING btree ("person_id","finished_at");--> statement-breakpoint
ALTER TABLE "specimen_events" ADD CONSTRAINT "specimen_events_storage_id_storages_id_fk" FOREIGN KEY ("storage_id") REFERENCES "public"."storages"("id") ON DELETE no action ON UPDATE no action;