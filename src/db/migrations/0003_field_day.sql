CREATE TABLE "handovers" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"from_person_id" text NOT NULL,
	"to_person_id" text NOT NULL,
	"place" text DEFAULT '' NOT NULL,
	"condition" text DEFAULT '' NOT NULL,
	"count" integer NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "loads" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"client_id" uuid NOT NULL,
	"placement_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"ticket" text NOT NULL,
	"truck" text DEFAULT '' NOT NULL,
	"volume" text NOT NULL,
	"arrived_at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	CONSTRAINT "loads_client_id_unique" UNIQUE("client_id"),
	CONSTRAINT "loads_placement_id_number_unique" UNIQUE("placement_id","number")
);
--> statement-breakpoint
CREATE TABLE "sampling_plans" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"placement_id" uuid NOT NULL,
	"seed" integer NOT NULL,
	"volume" text NOT NULL,
	"area" text,
	"count" integer NOT NULL,
	"why" text NOT NULL,
	"draws" jsonb NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "profile" text DEFAULT 'astm' NOT NULL;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "slump_class" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "slump_flow" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "aggregate" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "air" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "exposure" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "air_method" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "aggregate_factor" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "density" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "water_ratio" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "cementitious" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "water" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "bleeds_little" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "placements" ADD COLUMN "area" text;--> statement-breakpoint
ALTER TABLE "placements" ADD COLUMN "section" text;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "load_id" uuid;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "kind" text DEFAULT 'acceptance' NOT NULL;--> statement-breakpoint
ALTER TABLE "specimen_events" ADD COLUMN "place" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "specimen_events" ADD COLUMN "handover_id" uuid;--> statement-breakpoint
ALTER TABLE "runs" ADD COLUMN "placement_id" uuid;--> statement-breakpoint
ALTER TABLE "handovers" ADD CONSTRAINT "handovers_from_person_id_people_id_fk" FOREIGN KEY ("from_person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "handovers" ADD CONSTRAINT "handovers_to_person_id_people_id_fk" FOREIGN KEY ("to_person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loads" ADD CONSTRAINT "loads_placement_id_placements_id_fk" FOREIGN KEY ("placement_id") REFERENCES "public"."placements"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loads" ADD CONSTRAINT "loads_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sampling_plans" ADD CONSTRAINT "sampling_plans_placement_id_placements_id_fk" FOREIGN KEY ("placement_id") REFERENCES "public"."placements"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sampling_plans" ADD CONSTRAINT "sampling_plans_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "handovers_at_index" ON "handovers" USING btree ("at");--> statement-breakpoint
CREATE INDEX "sampling_plans_placement_id_at_index" ON "sampling_plans" USING btree ("placement_id","at");--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_load_id_loads_id_fk" FOREIGN KEY ("load_id") REFERENCES "public"."loads"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "specimen_events" ADD CONSTRAINT "specimen_events_handover_id_handovers_id_fk" FOREIGN KEY ("handover_id") REFERENCES "public"."handovers"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_placement_id_placements_id_fk" FOREIGN KEY ("placement_id") REFERENCES "public"."placements"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_placement_id_method_attempt_unique" UNIQUE("placement_id","method","attempt");