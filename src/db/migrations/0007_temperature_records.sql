CREATE TABLE "temperature_records" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigserial NOT NULL,
	"run_id" uuid NOT NULL,
	"field" text NOT NULL,
	"name" text NOT NULL,
	"sha256" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"mapping" jsonb NOT NULL,
	"record" jsonb NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "temperature_records" ADD CONSTRAINT "temperature_records_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "temperature_records" ADD CONSTRAINT "temperature_records_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "temperature_records_run_id_field_seq_index" ON "temperature_records" USING btree ("run_id","field","seq");
--> statement-breakpoint
GRANT SELECT, INSERT ON temperature_records TO bricole_app;
--> statement-breakpoint
CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON temperature_records FOR EACH ROW EXECUTE FUNCTION write_audit();
--> statement-breakpoint
CREATE TRIGGER keep BEFORE TRUNCATE ON temperature_records FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON temperature_records FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE INSERT ON temperature_records FOR EACH ROW EXECUTE FUNCTION protect_run();
--> statement-breakpoint
GRANT USAGE ON SEQUENCE temperature_records_seq_seq TO bricole_app;
