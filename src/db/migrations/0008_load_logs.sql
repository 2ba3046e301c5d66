CREATE TABLE "load_logs" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"name" text NOT NULL,
	"sha256" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"mapping" jsonb NOT NULL,
	"analysis" jsonb NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "equipment" ADD COLUMN "log_mapping" jsonb;--> statement-breakpoint
ALTER TABLE "load_logs" ADD CONSTRAINT "load_logs_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "load_logs" ADD CONSTRAINT "load_logs_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "load_logs_run_id_at_index" ON "load_logs" USING btree ("run_id","at");