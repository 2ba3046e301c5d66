CREATE TABLE "report_readings" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"report_id" uuid NOT NULL,
	"mark" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "settings" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"seq" bigserial NOT NULL,
	"key" text NOT NULL,
	"value" text NOT NULL,
	"note" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "report_readings" ADD CONSTRAINT "report_readings_report_id_reports_id_fk" FOREIGN KEY ("report_id") REFERENCES "public"."reports"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "report_readings" ADD CONSTRAINT "report_readings_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "settings" ADD CONSTRAINT "settings_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "report_readings_report_id_index" ON "report_readings" USING btree ("report_id");--> statement-breakpoint
CREATE INDEX "settings_key_seq_index" ON "settings" USING btree ("key","seq");--> statement-breakpoint
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['report_readings', 'settings'] LOOP
    EXECUTE format('CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION write_audit()', name);
    EXECUTE format('CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', name);
    EXECUTE format('CREATE TRIGGER keep BEFORE TRUNCATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()', name);
    EXECUTE format('ALTER TABLE %I ADD CONSTRAINT %I CHECK (at BETWEEN ''1990-01-01Z'' AND ''2200-01-01Z'')', name, name || '_at_years');
  END LOOP;
END $$;
--> statement-breakpoint
GRANT SELECT, INSERT ON report_readings, settings TO bricole_app;
--> statement-breakpoint
GRANT USAGE ON SEQUENCE settings_seq_seq TO bricole_app;
