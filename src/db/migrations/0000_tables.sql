CREATE EXTENSION IF NOT EXISTS pg_trgm;
--> statement-breakpoint
CREATE SCHEMA "practice";
--> statement-breakpoint
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
CREATE TABLE "sign_ins" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"email" text NOT NULL,
	"person_id" text,
	"address" text DEFAULT '' NOT NULL,
	"outcome" text NOT NULL
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
	"profile" text DEFAULT 'astm' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "jobs_number_unique" UNIQUE("number")
);
--> statement-breakpoint
CREATE TABLE "loads" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"client_id" uuid NOT NULL,
	"lot_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"ticket" text NOT NULL,
	"truck" text DEFAULT '' NOT NULL,
	"volume" text NOT NULL,
	"arrived_at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	"correction" text,
	"struck_out" text,
	CONSTRAINT "loads_client_id_unique" UNIQUE("client_id"),
	CONSTRAINT "loads_lot_id_number_unique" UNIQUE("lot_id","number")
);
--> statement-breakpoint
CREATE TABLE "lots" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"job_id" uuid NOT NULL,
	"specification_id" uuid NOT NULL,
	"parent_id" uuid,
	"number" integer NOT NULL,
	"starts_at" timestamp with time zone NOT NULL,
	"title" text NOT NULL,
	"about" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "lots_job_id_number_unique" UNIQUE("job_id","number")
);
--> statement-breakpoint
CREATE TABLE "plant_batches" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"lot_id" uuid NOT NULL,
	"ticket" text NOT NULL,
	"batch" jsonb NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "plant_batches_lot_id_ticket_unique" UNIQUE("lot_id","ticket")
);
--> statement-breakpoint
CREATE TABLE "requirements" (
	"specification_id" uuid NOT NULL,
	"criterion" text NOT NULL,
	"designation" text NOT NULL,
	"edition" text NOT NULL,
	CONSTRAINT "requirements_specification_id_criterion_pk" PRIMARY KEY("specification_id","criterion")
);
--> statement-breakpoint
CREATE TABLE "samples" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"lot_id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"load_id" uuid,
	"kind" text DEFAULT 'acceptance' NOT NULL,
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
CREATE TABLE "sampling_plans" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"lot_id" uuid NOT NULL,
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
CREATE TABLE "specifications" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"job_id" uuid NOT NULL,
	"material" text NOT NULL,
	"code" text NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"title" text NOT NULL,
	"asked" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "specifications_job_id_code_version_unique" UNIQUE("job_id","code","version")
);
--> statement-breakpoint
CREATE TABLE "specimen_events" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"specimen_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"person_id" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"place" text DEFAULT '' NOT NULL,
	"storage_id" uuid,
	"position" text,
	"handover_id" uuid,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "specimens" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"sample_id" uuid NOT NULL,
	"parent_id" uuid,
	"label" text NOT NULL,
	"form" text NOT NULL,
	"role" text,
	"since" timestamp with time zone NOT NULL,
	"place" jsonb,
	"about" jsonb NOT NULL,
	"age_hours" integer,
	"opens_at" timestamp with time zone,
	"closes_at" timestamp with time zone,
	"tested_at" timestamp with time zone,
	"discarded_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "specimens_label_unique" UNIQUE("label")
);
--> statement-breakpoint
CREATE TABLE "batch_members" (
	"batch_id" uuid NOT NULL,
	"specimen_id" uuid NOT NULL,
	"place" integer NOT NULL,
	"drawn" boolean DEFAULT false NOT NULL,
	CONSTRAINT "batch_members_batch_id_specimen_id_pk" PRIMARY KEY("batch_id","specimen_id")
);
--> statement-breakpoint
CREATE TABLE "batches" (
	"id" uuid PRIMARY KEY NOT NULL,
	"number" integer NOT NULL,
	"kind" text NOT NULL,
	"seed" integer NOT NULL,
	"title" text DEFAULT '' NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	CONSTRAINT "batches_kind_number_unique" UNIQUE("kind","number")
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
	"place" text,
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
	"log_mapping" jsonb,
	"machine" jsonb,
	"pads" jsonb,
	"compound" jsonb,
	CONSTRAINT "equipment_number_unique" UNIQUE("number")
);
--> statement-breakpoint
CREATE TABLE "equipment_verifications" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"equipment_id" uuid NOT NULL,
	"verified_on" date NOT NULL,
	"verified_from" text,
	"verified_to" text,
	"loads" jsonb,
	"strength" text,
	"certificate" text DEFAULT '' NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "limit_changes" (
	"revision" bigserial PRIMARY KEY NOT NULL,
	"limit_id" text NOT NULL,
	"job_id" uuid,
	"change" jsonb NOT NULL,
	"note" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "load_logs" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"name" text NOT NULL,
	"sha256" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"mapping" jsonb NOT NULL,
	"analysis" jsonb NOT NULL,
	"curve" jsonb,
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
	"device_at" timestamp with time zone,
	"steady_ms" bigint,
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
	"lot_id" uuid,
	"batch_id" uuid,
	"attempt" integer DEFAULT 1 NOT NULL,
	"repeat_reason" text,
	"state" text DEFAULT 'open' NOT NULL,
	"limits_revision" integer NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	"started_by" text NOT NULL,
	"completed_at" timestamp with time zone,
	"completed_by" text,
	CONSTRAINT "runs_specimen_id_method_attempt_unique" UNIQUE("specimen_id","method","attempt"),
	CONSTRAINT "runs_sample_id_method_attempt_unique" UNIQUE("sample_id","method","attempt"),
	CONSTRAINT "runs_lot_id_method_attempt_unique" UNIQUE("lot_id","method","attempt"),
	CONSTRAINT "runs_batch_id_method_attempt_unique" UNIQUE("batch_id","method","attempt")
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
	"content_sha256" text,
	"replaces_id" uuid,
	"replace_reason" text,
	CONSTRAINT "reports_number_revision_unique" UNIQUE("number","revision")
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
ALTER TABLE "accounts" ADD CONSTRAINT "accounts_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sign_ins" ADD CONSTRAINT "sign_ins_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "handovers" ADD CONSTRAINT "handovers_from_person_id_people_id_fk" FOREIGN KEY ("from_person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "handovers" ADD CONSTRAINT "handovers_to_person_id_people_id_fk" FOREIGN KEY ("to_person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_clients" ADD CONSTRAINT "job_clients_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_clients" ADD CONSTRAINT "job_clients_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loads" ADD CONSTRAINT "loads_lot_id_lots_id_fk" FOREIGN KEY ("lot_id") REFERENCES "public"."lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "loads" ADD CONSTRAINT "loads_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lots" ADD CONSTRAINT "lots_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lots" ADD CONSTRAINT "lots_specification_id_specifications_id_fk" FOREIGN KEY ("specification_id") REFERENCES "public"."specifications"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lots" ADD CONSTRAINT "lots_parent_id_lots_id_fk" FOREIGN KEY ("parent_id") REFERENCES "public"."lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plant_batches" ADD CONSTRAINT "plant_batches_lot_id_lots_id_fk" FOREIGN KEY ("lot_id") REFERENCES "public"."lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plant_batches" ADD CONSTRAINT "plant_batches_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "requirements" ADD CONSTRAINT "requirements_specification_id_specifications_id_fk" FOREIGN KEY ("specification_id") REFERENCES "public"."specifications"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_lot_id_lots_id_fk" FOREIGN KEY ("lot_id") REFERENCES "public"."lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_load_id_loads_id_fk" FOREIGN KEY ("load_id") REFERENCES "public"."loads"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_sampled_by_people_id_fk" FOREIGN KEY ("sampled_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sampling_plans" ADD CONSTRAINT "sampling_plans_lot_id_lots_id_fk" FOREIGN KEY ("lot_id") REFERENCES "public"."lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sampling_plans" ADD CONSTRAINT "sampling_plans_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "specifications" ADD CONSTRAINT "specifications_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "specimen_events" ADD CONSTRAINT "specimen_events_specimen_id_specimens_id_fk" FOREIGN KEY ("specimen_id") REFERENCES "public"."specimens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "specimen_events" ADD CONSTRAINT "specimen_events_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "specimen_events" ADD CONSTRAINT "specimen_events_storage_id_storages_id_fk" FOREIGN KEY ("storage_id") REFERENCES "public"."storages"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "specimen_events" ADD CONSTRAINT "specimen_events_handover_id_handovers_id_fk" FOREIGN KEY ("handover_id") REFERENCES "public"."handovers"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "specimens" ADD CONSTRAINT "specimens_sample_id_samples_id_fk" FOREIGN KEY ("sample_id") REFERENCES "public"."samples"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "specimens" ADD CONSTRAINT "specimens_parent_id_specimens_id_fk" FOREIGN KEY ("parent_id") REFERENCES "public"."specimens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batch_members" ADD CONSTRAINT "batch_members_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batch_members" ADD CONSTRAINT "batch_members_specimen_id_specimens_id_fk" FOREIGN KEY ("specimen_id") REFERENCES "public"."specimens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batches" ADD CONSTRAINT "batches_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "amendments" ADD CONSTRAINT "amendments_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attachments" ADD CONSTRAINT "attachments_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attachments" ADD CONSTRAINT "attachments_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "equipment_verifications" ADD CONSTRAINT "equipment_verifications_equipment_id_equipment_id_fk" FOREIGN KEY ("equipment_id") REFERENCES "public"."equipment"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "equipment_verifications" ADD CONSTRAINT "equipment_verifications_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "limit_changes" ADD CONSTRAINT "limit_changes_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "limit_changes" ADD CONSTRAINT "limit_changes_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "load_logs" ADD CONSTRAINT "load_logs_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "load_logs" ADD CONSTRAINT "load_logs_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
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
ALTER TABLE "runs" ADD CONSTRAINT "runs_lot_id_lots_id_fk" FOREIGN KEY ("lot_id") REFERENCES "public"."lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_started_by_people_id_fk" FOREIGN KEY ("started_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_completed_by_people_id_fk" FOREIGN KEY ("completed_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "press_feeds" ADD CONSTRAINT "press_feeds_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "press_feeds" ADD CONSTRAINT "press_feeds_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "press_readings" ADD CONSTRAINT "press_readings_feed_id_press_feeds_id_fk" FOREIGN KEY ("feed_id") REFERENCES "public"."press_feeds"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "follow_ups" ADD CONSTRAINT "follow_ups_sample_id_samples_id_fk" FOREIGN KEY ("sample_id") REFERENCES "public"."samples"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "follow_ups" ADD CONSTRAINT "follow_ups_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "report_outcomes" ADD CONSTRAINT "report_outcomes_report_id_reports_id_fk" FOREIGN KEY ("report_id") REFERENCES "public"."reports"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "report_outcomes" ADD CONSTRAINT "report_outcomes_outcome_id_outcomes_id_fk" FOREIGN KEY ("outcome_id") REFERENCES "public"."outcomes"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "report_outcomes" ADD CONSTRAINT "report_outcomes_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reports" ADD CONSTRAINT "reports_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reports" ADD CONSTRAINT "reports_sample_id_samples_id_fk" FOREIGN KEY ("sample_id") REFERENCES "public"."samples"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reports" ADD CONSTRAINT "reports_prepared_by_people_id_fk" FOREIGN KEY ("prepared_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reports" ADD CONSTRAINT "reports_signed_by_people_id_fk" FOREIGN KEY ("signed_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cards" ADD CONSTRAINT "cards_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cards" ADD CONSTRAINT "cards_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "storage_duties" ADD CONSTRAINT "storage_duties_storage_id_storages_id_fk" FOREIGN KEY ("storage_id") REFERENCES "public"."storages"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "storage_duties" ADD CONSTRAINT "storage_duties_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "practice"."attempts" ADD CONSTRAINT "attempts_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "sign_ins_at_index" ON "sign_ins" USING btree ("at");--> statement-breakpoint
CREATE INDEX "sign_ins_email_at_index" ON "sign_ins" USING btree ("email","at");--> statement-breakpoint
CREATE INDEX "handovers_at_index" ON "handovers" USING btree ("at");--> statement-breakpoint
CREATE INDEX "job_clients_person_id_index" ON "job_clients" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "lots_job_id_starts_at_index" ON "lots" USING btree ("job_id","starts_at");--> statement-breakpoint
CREATE INDEX "lots_specification_id_index" ON "lots" USING btree ("specification_id");--> statement-breakpoint
CREATE INDEX "lots_parent_id_index" ON "lots" USING btree ("parent_id");--> statement-breakpoint
CREATE INDEX "samples_job_id_sampled_at_index" ON "samples" USING btree ("job_id","sampled_at");--> statement-breakpoint
CREATE INDEX "samples_sampled_at_index" ON "samples" USING btree ("sampled_at");--> statement-breakpoint
CREATE INDEX "samples_lot_id_index" ON "samples" USING btree ("lot_id");--> statement-breakpoint
CREATE INDEX "sampling_plans_lot_id_at_index" ON "sampling_plans" USING btree ("lot_id","at");--> statement-breakpoint
CREATE INDEX "specimen_events_specimen_id_at_index" ON "specimen_events" USING btree ("specimen_id","at");--> statement-breakpoint
CREATE INDEX "specimens_sample_id_index" ON "specimens" USING btree ("sample_id");--> statement-breakpoint
CREATE INDEX "specimens_parent_id_index" ON "specimens" USING btree ("parent_id");--> statement-breakpoint
CREATE INDEX "specimens_tested_at_closes_at_index" ON "specimens" USING btree ("tested_at","closes_at");--> statement-breakpoint
CREATE INDEX "specimens_waiting" ON "specimens" USING btree ("closes_at") WHERE tested_at IS NULL AND discarded_at IS NULL AND closes_at IS NOT NULL;--> statement-breakpoint
CREATE INDEX "specimens_there" ON "specimens" USING btree ("id") WHERE tested_at IS NULL AND discarded_at IS NULL;--> statement-breakpoint
CREATE INDEX "specimens_broken" ON "specimens" USING btree ("tested_at") WHERE tested_at IS NOT NULL;--> statement-breakpoint
CREATE INDEX "specimens_label_words" ON "specimens" USING gin ("label" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "batch_members_specimen_id_index" ON "batch_members" USING btree ("specimen_id");--> statement-breakpoint
CREATE INDEX "batches_made_at_index" ON "batches" USING btree ("made_at");--> statement-breakpoint
CREATE INDEX "amendments_report_id_index" ON "amendments" USING btree ("report_id");--> statement-breakpoint
CREATE INDEX "attachments_run_id_index" ON "attachments" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "equipment_verifications_equipment_id_verified_on_index" ON "equipment_verifications" USING btree ("equipment_id","verified_on");--> statement-breakpoint
CREATE INDEX "limit_changes_job_id_index" ON "limit_changes" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "load_logs_run_id_at_index" ON "load_logs" USING btree ("run_id","at");--> statement-breakpoint
CREATE INDEX "outcomes_run_id_seq_index" ON "outcomes" USING btree ("run_id","seq");--> statement-breakpoint
CREATE INDEX "readings_run_id_field_seq_index" ON "readings" USING btree ("run_id","field","seq");--> statement-breakpoint
CREATE INDEX "readings_pads" ON "readings" USING btree ("text") WHERE field = 'pads';--> statement-breakpoint
CREATE INDEX "run_reasons_run_id_index" ON "run_reasons" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "press_feeds_run_id_index" ON "press_feeds" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "press_feeds_closed_at_index" ON "press_feeds" USING btree ("closed_at");--> statement-breakpoint
CREATE INDEX "audit_table_name_row_key_index" ON "audit" USING btree ("table_name","row_key");--> statement-breakpoint
CREATE INDEX "audit_at_index" ON "audit" USING btree ("at");--> statement-breakpoint
CREATE INDEX "follow_ups_sample_id_index" ON "follow_ups" USING btree ("sample_id");--> statement-breakpoint
CREATE INDEX "report_outcomes_run_id_index" ON "report_outcomes" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "reports_job_id_prepared_at_index" ON "reports" USING btree ("job_id","prepared_at");--> statement-breakpoint
CREATE INDEX "reports_sample_id_index" ON "reports" USING btree ("sample_id");--> statement-breakpoint
CREATE INDEX "reports_replaces_id_index" ON "reports" USING btree ("replaces_id");--> statement-breakpoint
CREATE INDEX "reports_prepared_at_id_index" ON "reports" USING btree ("prepared_at","id");--> statement-breakpoint
CREATE INDEX "cards_person_id_index" ON "cards" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "storage_duties_storage_id_duty_at_index" ON "storage_duties" USING btree ("storage_id","duty","at");--> statement-breakpoint
CREATE INDEX "attempts_person_id_finished_at_index" ON "practice"."attempts" USING btree ("person_id","finished_at");