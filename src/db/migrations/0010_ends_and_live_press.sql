CREATE TABLE "end_batch_specimens" (
	"batch_id" uuid NOT NULL,
	"specimen_id" uuid NOT NULL,
	"place" integer NOT NULL,
	CONSTRAINT "end_batch_specimens_batch_id_specimen_id_pk" PRIMARY KEY("batch_id","specimen_id")
);
--> statement-breakpoint
CREATE TABLE "end_batches" (
	"id" uuid PRIMARY KEY NOT NULL,
	"number" integer NOT NULL,
	"kind" text NOT NULL,
	"seed" integer NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	CONSTRAINT "end_batches_number_unique" UNIQUE("number")
);
--> statement-breakpoint
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
ALTER TABLE "equipment" ADD COLUMN "pads" jsonb;--> statement-breakpoint
ALTER TABLE "equipment_verifications" ADD COLUMN "strength" text;--> statement-breakpoint
ALTER TABLE "load_logs" ADD COLUMN "curve" jsonb;--> statement-breakpoint
ALTER TABLE "runs" ADD COLUMN "batch_id" uuid;--> statement-breakpoint
ALTER TABLE "end_batch_specimens" ADD CONSTRAINT "end_batch_specimens_batch_id_end_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."end_batches"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "end_batch_specimens" ADD CONSTRAINT "end_batch_specimens_specimen_id_specimens_id_fk" FOREIGN KEY ("specimen_id") REFERENCES "public"."specimens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "end_batches" ADD CONSTRAINT "end_batches_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "press_feeds" ADD CONSTRAINT "press_feeds_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "press_feeds" ADD CONSTRAINT "press_feeds_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "press_readings" ADD CONSTRAINT "press_readings_feed_id_press_feeds_id_fk" FOREIGN KEY ("feed_id") REFERENCES "public"."press_feeds"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "press_feeds_run_id_index" ON "press_feeds" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "press_feeds_closed_at_index" ON "press_feeds" USING btree ("closed_at");--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_batch_id_end_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."end_batches"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_batch_id_method_attempt_unique" UNIQUE("batch_id","method","attempt");