CREATE TABLE "sets" (
	"sample_id" uuid NOT NULL,
	"key" text NOT NULL,
	"released" boolean NOT NULL,
	"specification_id" uuid NOT NULL,
	"sampled_at" timestamp with time zone NOT NULL,
	"label" text NOT NULL,
	"counts" boolean NOT NULL,
	"state" text NOT NULL,
	"value" text,
	"members" integer NOT NULL,
	"told" jsonb NOT NULL,
	CONSTRAINT "sets_sample_id_key_released_pk" PRIMARY KEY("sample_id","key","released")
);
--> statement-breakpoint
CREATE TABLE "verdicts" (
	"sample_id" uuid NOT NULL,
	"released" boolean NOT NULL,
	"criterion" text NOT NULL,
	"key" text NOT NULL,
	"specification_id" uuid NOT NULL,
	"state" text NOT NULL,
	"statistic" text,
	"limit" text NOT NULL,
	"margin" text,
	"share" double precision,
	"sentence" text NOT NULL,
	"members" jsonb NOT NULL,
	CONSTRAINT "verdicts_sample_id_released_criterion_key_pk" PRIMARY KEY("sample_id","released","criterion","key")
);
--> statement-breakpoint
CREATE INDEX "sets_in_order" ON "sets" USING btree ("specification_id","released","sampled_at","label") WHERE counts;--> statement-breakpoint
CREATE INDEX "sets_of_specification" ON "sets" USING btree ("specification_id","released");--> statement-breakpoint
CREATE INDEX "verdicts_of_specification" ON "verdicts" USING btree ("specification_id","released","share");--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE, DELETE ON sets, verdicts TO bricole_app;
--> statement-breakpoint
-- Which samples a transaction changed what they come to: the server projects them before it ends, whatever changed them.
CREATE FUNCTION touch_sample() RETURNS trigger LANGUAGE plpgsql SET search_path = pg_catalog, public, pg_temp AS $$
DECLARE
  whole jsonb := to_jsonb(NEW);
  told text := coalesce(current_setting('bricole.touched', true), '');
  sample uuid;
BEGIN
  FOR sample IN
    SELECT (whole ->> 'id')::uuid WHERE TG_TABLE_NAME = 'samples'
    UNION SELECT (whole ->> 'sample_id')::uuid WHERE TG_TABLE_NAME IN ('specimens', 'reports')
    UNION SELECT s.sample_id FROM specimens s
      WHERE TG_TABLE_NAME = 'specimen_events' AND s.id = (whole ->> 'specimen_id')::uuid
    UNION SELECT coalesce(r.sample_id, s.sample_id) FROM runs r LEFT JOIN specimens s ON s.id = r.specimen_id
      WHERE r.id = (whole ->> 'run_id')::uuid
    UNION SELECT coalesce(r.sample_id, s.sample_id) FROM run_reasons g JOIN runs r ON r.id = g.run_id
      LEFT JOIN specimens s ON s.id = r.specimen_id
      WHERE TG_TABLE_NAME = 'reason_acceptances' AND g.id = (whole ->> 'reason_id')::uuid
    UNION SELECT s.id FROM samples s WHERE TG_TABLE_NAME = 'reports' AND s.lot_id = (whole ->> 'lot_id')::uuid
  LOOP
    IF sample IS NOT NULL AND position(sample::text IN told) = 0 THEN
      told := told || ' ' || sample;
    END IF;
  END LOOP;
  PERFORM set_config('bricole.touched', told, true);
  RETURN NULL;
END $$;
--> statement-breakpoint
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['specimens','outcomes','run_reasons','reason_acceptances'] LOOP
    EXECUTE format('CREATE TRIGGER touch_sample AFTER INSERT OR UPDATE ON %I FOR EACH ROW EXECUTE FUNCTION touch_sample()', name);
  END LOOP;
END $$;
--> statement-breakpoint
CREATE TRIGGER touch_sample AFTER UPDATE ON samples FOR EACH ROW EXECUTE FUNCTION touch_sample();
--> statement-breakpoint
-- Of what happens to a specimen only what takes it out of its set, or back in.
CREATE TRIGGER touch_sample AFTER INSERT ON specimen_events FOR EACH ROW
  WHEN (NEW.kind IN ('discarded', 'lost', 'discard taken back', 'left out', 'taken back in'))
  EXECUTE FUNCTION touch_sample();
--> statement-breakpoint
CREATE TRIGGER touch_sample AFTER UPDATE OF state ON reports FOR EACH ROW EXECUTE FUNCTION touch_sample();
