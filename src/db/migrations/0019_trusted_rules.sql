-- What the application's role could still reach, shut. A function that runs with its owner's rights, or whose answer
-- decides what may be changed, must never find a table that its caller put in the way: temporary tables come last.

DO $$
DECLARE known regprocedure;
BEGIN
  FOR known IN
    SELECT p.oid FROM pg_proc p
    WHERE p.pronamespace = 'public'::regnamespace
      AND NOT EXISTS (SELECT FROM pg_depend d WHERE d.objid = p.oid AND d.deptype = 'e')
  LOOP
    EXECUTE format('ALTER FUNCTION %s SET search_path = pg_catalog, public, pg_temp', known);
  END LOOP;
  EXECUTE format('REVOKE TEMPORARY ON DATABASE %I FROM PUBLIC', current_database());
END $$;
--> statement-breakpoint
REVOKE CREATE ON SCHEMA public FROM PUBLIC;
--> statement-breakpoint
-- Triggers fire them without this right; nobody else needs it.
REVOKE EXECUTE ON FUNCTION write_audit(), tell_placement() FROM PUBLIC;
--> statement-breakpoint
-- A broken specimen leaves its set by the reviewed way only; what was thrown away by mistake comes back, but not under
-- a signed report that says it was gone.
CREATE OR REPLACE FUNCTION protect_set() RETURNS trigger LANGUAGE plpgsql
  SET search_path = pg_catalog, public, pg_temp AS $$
DECLARE report text;
BEGIN
  IF NEW.kind NOT IN ('left out', 'taken back in', 'discarded', 'discard taken back') THEN RETURN NEW; END IF;
  SELECT report_locking_run(r.id) INTO report FROM runs r
    WHERE r.specimen_id = NEW.specimen_id AND report_locking_run(r.id) IS NOT NULL LIMIT 1;
  IF report IS NOT NULL THEN
    RAISE EXCEPTION 'signed report % rests on this specimen; open an amendment with its reason first', report
      USING ERRCODE = 'BR002';
  END IF;
  IF NEW.kind = 'discarded' AND EXISTS (SELECT FROM specimens s WHERE s.id = NEW.specimen_id AND s.tested_at IS NOT NULL) THEN
    RAISE EXCEPTION 'this specimen is broken: it leaves its set only when a reviewer leaves it out, on evidence'
      USING ERRCODE = 'BR001';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
-- A load is corrected with its reason or struck out, never taken away; the trail keeps what it was.
DROP TRIGGER append_only ON loads;
--> statement-breakpoint
CREATE TRIGGER no_delete BEFORE DELETE ON loads FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE FUNCTION protect_load() RETURNS trigger LANGUAGE plpgsql
  SET search_path = pg_catalog, public, pg_temp AS $$
DECLARE report text;
BEGIN
  IF coalesce(trim(NEW.correction), '') = '' AND coalesce(trim(NEW.struck_out), '') = '' THEN
    RAISE EXCEPTION 'a load is corrected only with a reason' USING ERRCODE = 'BR001';
  END IF;
  SELECT report_locking_sample(s.id) INTO report FROM samples s
    WHERE s.load_id = OLD.id AND report_locking_sample(s.id) IS NOT NULL LIMIT 1;
  IF report IS NOT NULL THEN
    RAISE EXCEPTION 'signed report % rests on a sample of this load; open an amendment with its reason first', report
      USING ERRCODE = 'BR002';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE UPDATE ON loads FOR EACH ROW EXECUTE FUNCTION protect_load();
--> statement-breakpoint
CREATE TRIGGER keep BEFORE TRUNCATE ON sign_ins FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON sign_ins FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
GRANT SELECT, INSERT ON sign_ins TO bricole_app;
--> statement-breakpoint
GRANT USAGE ON SEQUENCE sign_ins_id_seq TO bricole_app;
--> statement-breakpoint
-- Who lost access or changed their part is told to every server, so that what streams to them ends.
CREATE FUNCTION tell_access() RETURNS trigger LANGUAGE plpgsql
  SET search_path = pg_catalog, public, pg_temp AS $$
BEGIN
  PERFORM pg_notify('bricole_access', CASE WHEN TG_TABLE_NAME = 'people' THEN to_jsonb(OLD) ->> 'id'
                                           ELSE to_jsonb(OLD) ->> 'user_id' END);
  RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER tell AFTER DELETE ON sessions FOR EACH ROW EXECUTE FUNCTION tell_access();
--> statement-breakpoint
CREATE TRIGGER tell AFTER UPDATE OF role, active ON people FOR EACH ROW EXECUTE FUNCTION tell_access();
--> statement-breakpoint
-- No instant of a laboratory lies outside these years, whatever was typed; each field is bounded more closely before.
DO $$
DECLARE found record;
BEGIN
  FOR found IN
    SELECT c.relname AS tab, a.attname AS col
    FROM pg_attribute a JOIN pg_class c ON c.oid = a.attrelid
    WHERE c.relnamespace = 'public'::regnamespace AND c.relkind = 'r' AND a.attnum > 0 AND NOT a.attisdropped
      AND a.atttypid = 'timestamptz'::regtype
  LOOP
    EXECUTE format('ALTER TABLE %I ADD CONSTRAINT %I CHECK (%I BETWEEN ''1990-01-01Z'' AND ''2200-01-01Z'')',
                   found.tab, found.tab || '_' || found.col || '_years', found.col);
  END LOOP;
END $$;
