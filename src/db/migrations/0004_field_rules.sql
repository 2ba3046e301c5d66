-- The field day's records under the same rules as the rest, and word of every change to those who look at it.

ALTER TABLE runs DROP CONSTRAINT runs_subject;
--> statement-breakpoint
ALTER TABLE runs ADD CONSTRAINT runs_subject CHECK (num_nonnulls(specimen_id, sample_id, placement_id) = 1);
--> statement-breakpoint
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['handovers','loads','sampling_plans'] LOOP
    EXECUTE format('CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION write_audit()', name);
    EXECUTE format('CREATE TRIGGER keep BEFORE TRUNCATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()', name);
    EXECUTE format('CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
END $$;
--> statement-breakpoint
-- Which placement a changed row belongs to, told on one channel. The application servers listen and pass it on.
CREATE FUNCTION tell_placement() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
DECLARE
  whole jsonb := to_jsonb(NEW);
  run uuid := (whole ->> 'run_id')::uuid;
  sample uuid := (whole ->> 'sample_id')::uuid;
  placement uuid := (whole ->> 'placement_id')::uuid;
BEGIN
  IF TG_TABLE_NAME = 'runs' THEN run := (whole ->> 'id')::uuid; END IF;
  IF TG_TABLE_NAME = 'samples' THEN sample := (whole ->> 'id')::uuid; END IF;
  IF run IS NOT NULL THEN
    SELECT coalesce(r.sample_id, s.sample_id), r.placement_id INTO sample, placement
      FROM runs r LEFT JOIN specimens s ON s.id = r.specimen_id WHERE r.id = run;
  END IF;
  IF placement IS NULL AND sample IS NOT NULL THEN
    SELECT placement_id INTO placement FROM samples WHERE id = sample;
  END IF;
  IF placement IS NOT NULL THEN
    PERFORM pg_notify('bricole_live', json_build_object('placement', placement, 'sample', sample, 'run', run)::text);
  END IF;
  RETURN NULL;
END $$;
--> statement-breakpoint
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['readings','outcomes','runs','samples','specimens','loads','sampling_plans','attachments'] LOOP
    EXECUTE format('CREATE TRIGGER tell AFTER INSERT OR UPDATE ON %I FOR EACH ROW EXECUTE FUNCTION tell_placement()', name);
  END LOOP;
END $$;
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON handovers, loads, sampling_plans TO bricole_app;
