CREATE TABLE "accounts" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"provider_id" text NOT NULL,
	"user_id" text NOT NULL,
	"access_token" text,
	"refresh_token" text,
	"id_token" text,
	"access_token_expires_at" timestamp with time zone,
	"refresh_token_expires_at" timestamp with time zone,
	"scope" text,
	"password" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "people" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"email_verified" boolean DEFAULT false NOT NULL,
	"image" text,
	"role" text DEFAULT 'client' NOT NULL,
	"title" text,
	"active" boolean DEFAULT true NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "people_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "rate_limits" (
	"id" text PRIMARY KEY NOT NULL,
	"key" text NOT NULL,
	"count" integer NOT NULL,
	"last_request" bigint NOT NULL,
	CONSTRAINT "rate_limits_key_unique" UNIQUE("key")
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"id" text PRIMARY KEY NOT NULL,
	"user_id" text NOT NULL,
	"token" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"ip_address" text,
	"user_agent" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "sessions_token_unique" UNIQUE("token")
);
--> statement-breakpoint
CREATE TABLE "verifications" (
	"id" text PRIMARY KEY NOT NULL,
	"identifier" text NOT NULL,
	"value" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "job_clients" (
	"job_id" uuid NOT NULL,
	"person_id" text NOT NULL,
	CONSTRAINT "job_clients_job_id_person_id_pk" PRIMARY KEY("job_id","person_id")
);
--> statement-breakpoint
CREATE TABLE "jobs" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"number" text NOT NULL,
	"name" text NOT NULL,
	"owner" text NOT NULL,
	"location" text NOT NULL,
	"zone" text NOT NULL,
	"system" text NOT NULL,
	"rounding" text DEFAULT 'half-even' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "jobs_number_unique" UNIQUE("number")
);
--> statement-breakpoint
CREATE TABLE "mix_criteria" (
	"mix_id" uuid NOT NULL,
	"criterion" text NOT NULL,
	"designation" text NOT NULL,
	"edition" text NOT NULL,
	CONSTRAINT "mix_criteria_mix_id_criterion_pk" PRIMARY KEY("mix_id","criterion")
);
--> statement-breakpoint
CREATE TABLE "mixes" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"job_id" uuid NOT NULL,
	"code" text NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"title" text NOT NULL,
	"specified_strength" text NOT NULL,
	"age_hours" integer NOT NULL,
	"slump_kind" text,
	"slump" text,
	"temperature_maximum" text,
	"temperature_minimum" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "mixes_job_id_code_version_unique" UNIQUE("job_id","code","version")
);
--> statement-breakpoint
CREATE TABLE "placements" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"job_id" uuid NOT NULL,
	"mix_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"placed_at" timestamp with time zone NOT NULL,
	"element" text NOT NULL,
	"location" text DEFAULT '' NOT NULL,
	"volume" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "placements_job_id_number_unique" UNIQUE("job_id","number")
);
--> statement-breakpoint
CREATE TABLE "samples" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"placement_id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"ticket" text DEFAULT '' NOT NULL,
	"truck" text DEFAULT '' NOT NULL,
	"sampled_at" timestamp with time zone NOT NULL,
	"sampled_by" text NOT NULL,
	"client_id" uuid NOT NULL,
	"remarks" text DEFAULT '' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "samples_client_id_unique" UNIQUE("client_id"),
	CONSTRAINT "samples_job_id_number_unique" UNIQUE("job_id","number")
);
--> statement-breakpoint
CREATE TABLE "specimen_events" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"specimen_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"person_id" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "specimens" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"sample_id" uuid NOT NULL,
	"label" text NOT NULL,
	"size" text NOT NULL,
	"cure" text DEFAULT 'standard' NOT NULL,
	"cast_at" timestamp with time zone NOT NULL,
	"age_hours" integer,
	"opens_at" timestamp with time zone,
	"closes_at" timestamp with time zone,
	"tested_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "specimens_label_unique" UNIQUE("label")
);
--> statement-breakpoint
CREATE TABLE "amendments" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"report_id" uuid NOT NULL,
	"code" text NOT NULL,
	"reason" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "attachments" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"name" text NOT NULL,
	"mime" text NOT NULL,
	"sha256" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "equipment" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"number" text NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"place" text DEFAULT '' NOT NULL,
	"in_service" boolean DEFAULT true NOT NULL,
	CONSTRAINT "equipment_number_unique" UNIQUE("number")
);
--> statement-breakpoint
CREATE TABLE "equipment_verifications" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"equipment_id" uuid NOT NULL,
	"verified_on" date NOT NULL,
	"verified_from" text,
	"verified_to" text,
	"certificate" text DEFAULT '' NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "limit_changes" (
	"revision" bigserial PRIMARY KEY NOT NULL,
	"limit_id" text NOT NULL,
	"change" jsonb NOT NULL,
	"note" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "outcomes" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"seq" bigserial NOT NULL,
	"run_id" uuid NOT NULL,
	"reading_seq" bigint NOT NULL,
	"input" jsonb NOT NULL,
	"setup" jsonb NOT NULL,
	"outcome" jsonb NOT NULL,
	"computed_at" timestamp with time zone NOT NULL,
	"by" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "readings" (
	"seq" bigserial NOT NULL,
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"field" text NOT NULL,
	"text" text,
	"taken_at" timestamp with time zone NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	"by" text NOT NULL,
	"reason" text,
	"amendment_id" uuid,
	CONSTRAINT "readings_seq_unique" UNIQUE("seq")
);
--> statement-breakpoint
CREATE TABLE "reason_acceptances" (
	"reason_id" uuid PRIMARY KEY NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "run_reasons" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"run_id" uuid NOT NULL,
	"finding_id" text NOT NULL,
	"reason" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "runs" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"method" text NOT NULL,
	"specimen_id" uuid,
	"sample_id" uuid,
	"attempt" integer DEFAULT 1 NOT NULL,
	"state" text DEFAULT 'open' NOT NULL,
	"limits_revision" integer NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	"started_by" text NOT NULL,
	"completed_at" timestamp with time zone,
	"completed_by" text,
	CONSTRAINT "runs_specimen_id_method_attempt_unique" UNIQUE("specimen_id","method","attempt"),
	CONSTRAINT "runs_sample_id_method_attempt_unique" UNIQUE("sample_id","method","attempt")
);
--> statement-breakpoint
CREATE TABLE "audit" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"actor" text,
	"use_case" text,
	"table_name" text NOT NULL,
	"row_key" text NOT NULL,
	"action" text NOT NULL,
	"before" jsonb,
	"after" jsonb
);
--> statement-breakpoint
CREATE TABLE "follow_ups" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"sample_id" uuid NOT NULL,
	"step_id" text NOT NULL,
	"note" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "report_outcomes" (
	"report_id" uuid NOT NULL,
	"outcome_id" uuid NOT NULL,
	"run_id" uuid NOT NULL,
	CONSTRAINT "report_outcomes_report_id_outcome_id_pk" PRIMARY KEY("report_id","outcome_id")
);
--> statement-breakpoint
CREATE TABLE "reports" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"job_id" uuid NOT NULL,
	"sample_id" uuid NOT NULL,
	"number" text NOT NULL,
	"revision" integer DEFAULT 0 NOT NULL,
	"state" text DEFAULT 'draft' NOT NULL,
	"prepared_at" timestamp with time zone NOT NULL,
	"prepared_by" text NOT NULL,
	"signed_at" timestamp with time zone,
	"signed_by" text,
	"content" jsonb,
	"pdf" "bytea",
	"replaces_id" uuid,
	"replace_reason" text,
	CONSTRAINT "reports_number_revision_unique" UNIQUE("number","revision")
);
--> statement-breakpoint
ALTER TABLE "accounts" ADD CONSTRAINT "accounts_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_clients" ADD CONSTRAINT "job_clients_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_clients" ADD CONSTRAINT "job_clients_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mix_criteria" ADD CONSTRAINT "mix_criteria_mix_id_mixes_id_fk" FOREIGN KEY ("mix_id") REFERENCES "public"."mixes"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mixes" ADD CONSTRAINT "mixes_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "placements" ADD CONSTRAINT "placements_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "placements" ADD CONSTRAINT "placements_mix_id_mixes_id_fk" FOREIGN KEY ("mix_id") REFERENCES "public"."mixes"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_placement_id_placements_id_fk" FOREIGN KEY ("placement_id") REFERENCES "public"."placements"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_sampled_by_people_id_fk" FOREIGN KEY ("sampled_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "specimen_events" ADD CONSTRAINT "specimen_events_specimen_id_specimens_id_fk" FOREIGN KEY ("specimen_id") REFERENCES "public"."specimens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "specimen_events" ADD CONSTRAINT "specimen_events_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "specimens" ADD CONSTRAINT "specimens_sample_id_samples_id_fk" FOREIGN KEY ("sample_id") REFERENCES "public"."samples"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "amendments" ADD CONSTRAINT "amendments_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attachments" ADD CONSTRAINT "attachments_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attachments" ADD CONSTRAINT "attachments_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "equipment_verifications" ADD CONSTRAINT "equipment_verifications_equipment_id_equipment_id_fk" FOREIGN KEY ("equipment_id") REFERENCES "public"."equipment"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "equipment_verifications" ADD CONSTRAINT "equipment_verifications_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "limit_changes" ADD CONSTRAINT "limit_changes_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outcomes" ADD CONSTRAINT "outcomes_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outcomes" ADD CONSTRAINT "outcomes_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_amendment_id_amendments_id_fk" FOREIGN KEY ("amendment_id") REFERENCES "public"."amendments"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reason_acceptances" ADD CONSTRAINT "reason_acceptances_reason_id_run_reasons_id_fk" FOREIGN KEY ("reason_id") REFERENCES "public"."run_reasons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reason_acceptances" ADD CONSTRAINT "reason_acceptances_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_reasons" ADD CONSTRAINT "run_reasons_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_reasons" ADD CONSTRAINT "run_reasons_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_specimen_id_specimens_id_fk" FOREIGN KEY ("specimen_id") REFERENCES "public"."specimens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_sample_id_samples_id_fk" FOREIGN KEY ("sample_id") REFERENCES "public"."samples"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_started_by_people_id_fk" FOREIGN KEY ("started_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_completed_by_people_id_fk" FOREIGN KEY ("completed_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "follow_ups" ADD CONSTRAINT "follow_ups_sample_id_samples_id_fk" FOREIGN KEY ("sample_id") REFERENCES "public"."samples"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "follow_ups" ADD CONSTRAINT "follow_ups_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "report_outcomes" ADD CONSTRAINT "report_outcomes_report_id_reports_id_fk" FOREIGN KEY ("report_id") REFERENCES "public"."reports"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "report_outcomes" ADD CONSTRAINT "report_outcomes_outcome_id_outcomes_id_fk" FOREIGN KEY ("outcome_id") REFERENCES "public"."outcomes"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "report_outcomes" ADD CONSTRAINT "report_outcomes_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reports" ADD CONSTRAINT "reports_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reports" ADD CONSTRAINT "reports_sample_id_samples_id_fk" FOREIGN KEY ("sample_id") REFERENCES "public"."samples"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reports" ADD CONSTRAINT "reports_prepared_by_people_id_fk" FOREIGN KEY ("prepared_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reports" ADD CONSTRAINT "reports_signed_by_people_id_fk" FOREIGN KEY ("signed_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "job_clients_person_id_index" ON "job_clients" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "placements_job_id_placed_at_index" ON "placements" USING btree ("job_id","placed_at");--> statement-breakpoint
CREATE INDEX "placements_mix_id_index" ON "placements" USING btree ("mix_id");--> statement-breakpoint
CREATE INDEX "samples_job_id_sampled_at_index" ON "samples" USING btree ("job_id","sampled_at");--> statement-breakpoint
CREATE INDEX "samples_placement_id_index" ON "samples" USING btree ("placement_id");--> statement-breakpoint
CREATE INDEX "specimen_events_specimen_id_at_index" ON "specimen_events" USING btree ("specimen_id","at");--> statement-breakpoint
CREATE INDEX "specimens_sample_id_index" ON "specimens" USING btree ("sample_id");--> statement-breakpoint
CREATE INDEX "specimens_tested_at_closes_at_index" ON "specimens" USING btree ("tested_at","closes_at");--> statement-breakpoint
CREATE INDEX "amendments_report_id_index" ON "amendments" USING btree ("report_id");--> statement-breakpoint
CREATE INDEX "attachments_run_id_index" ON "attachments" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "equipment_verifications_equipment_id_verified_on_index" ON "equipment_verifications" USING btree ("equipment_id","verified_on");--> statement-breakpoint
CREATE INDEX "outcomes_run_id_seq_index" ON "outcomes" USING btree ("run_id","seq");--> statement-breakpoint
CREATE INDEX "readings_run_id_field_seq_index" ON "readings" USING btree ("run_id","field","seq");--> statement-breakpoint
CREATE INDEX "run_reasons_run_id_index" ON "run_reasons" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "audit_table_name_row_key_index" ON "audit" USING btree ("table_name","row_key");--> statement-breakpoint
CREATE INDEX "audit_at_index" ON "audit" USING btree ("at");--> statement-breakpoint
CREATE INDEX "follow_ups_sample_id_index" ON "follow_ups" USING btree ("sample_id");--> statement-breakpoint
CREATE INDEX "report_outcomes_run_id_index" ON "report_outcomes" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "reports_job_id_prepared_at_index" ON "reports" USING btree ("job_id","prepared_at");--> statement-breakpoint
CREATE INDEX "reports_sample_id_index" ON "reports" USING btree ("sample_id");