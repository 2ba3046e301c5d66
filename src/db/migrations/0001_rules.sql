-- Rules that hold whatever the application does: the audit trail, append-only records, and signed reports that stay
-- as signed. The application connects as bricole_app, which owns nothing and so can switch none of this off.

DO $$ BEGIN
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'bricole_app') THEN
    CREATE ROLE bricole_app NOLOGIN;
  END IF;
END $$;
--> statement-breakpoint
-- The newest signed report that rests on a run and has no amendment open on it; null when the run may be changed.
CREATE FUNCTION report_locking_run(wanted uuid) RETURNS text LANGUAGE sql STABLE AS $$
  SELECT r.number || ' rev ' || r.revision
  FROM report_outcomes ro
  JOIN reports r ON r.id = ro.report_id AND r.state = 'signed'
  WHERE ro.run_id = wanted
    AND NOT EXISTS (SELECT FROM reports later WHERE later.replaces_id = r.id AND later.state = 'signed')
    AND NOT EXISTS (SELECT FROM amendments a WHERE a.report_id = r.id)
  LIMIT 1
$$;
--> statement-breakpoint
CREATE FUNCTION report_locking_sample(wanted uuid) RETURNS text LANGUAGE sql STABLE AS $$
  SELECT r.number || ' rev ' || r.revision
  FROM reports r
  WHERE r.sample_id = wanted AND r.state = 'signed'
    AND NOT EXISTS (SELECT FROM reports later WHERE later.replaces_id = r.id AND later.state = 'signed')
    AND NOT EXISTS (SELECT FROM amendments a WHERE a.report_id = r.id)
  LIMIT 1
$$;
--> statement-breakpoint
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION '% is append only: % refused', TG_TABLE_NAME, lower(TG_OP) USING ERRCODE = 'BR001';
END $$;
--> statement-breakpoint
CREATE FUNCTION protect_signed_report() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF OLD.state = 'signed' THEN
    RAISE EXCEPTION 'report % rev % is signed and cannot be changed; amend it', OLD.number, OLD.revision
      USING ERRCODE = 'BR002';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
-- What a signed report rests on is listed before the signature and never after.
CREATE FUNCTION protect_report_basis() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF EXISTS (SELECT FROM reports r WHERE r.id = NEW.report_id AND r.state = 'signed') THEN
    RAISE EXCEPTION 'the report is signed: nothing can be added to what it rests on' USING ERRCODE = 'BR002';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE FUNCTION protect_run() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE report text;
BEGIN
  report := report_locking_run(CASE WHEN TG_TABLE_NAME = 'runs' THEN (to_jsonb(NEW) ->> 'id')::uuid
                                    ELSE (to_jsonb(NEW) ->> 'run_id')::uuid END);
  IF report IS NOT NULL THEN
    RAISE EXCEPTION 'signed report % rests on this run; open an amendment with its reason first', report
      USING ERRCODE = 'BR002';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
-- A reading under a signed report must say under which amendment, and why.
CREATE FUNCTION protect_reading() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE report uuid;
BEGIN
  SELECT r.id INTO report FROM report_outcomes ro
    JOIN reports r ON r.id = ro.report_id AND r.state = 'signed'
    WHERE ro.run_id = NEW.run_id
      AND NOT EXISTS (SELECT FROM reports later WHERE later.replaces_id = r.id AND later.state = 'signed')
    LIMIT 1;
  IF report IS NULL THEN RETURN NEW; END IF;
  IF NEW.amendment_id IS NULL OR coalesce(trim(NEW.reason), '') = ''
     OR NOT EXISTS (SELECT FROM amendments a WHERE a.id = NEW.amendment_id AND a.report_id = report) THEN
    RAISE EXCEPTION 'a signed report rests on this run; a new reading needs an amendment of it and a reason'
      USING ERRCODE = 'BR002';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE FUNCTION protect_sample_basis() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE report text;
BEGIN
  IF TG_TABLE_NAME = 'samples' THEN
    report := report_locking_sample(OLD.id);
  ELSIF TG_TABLE_NAME = 'specimens' THEN
    SELECT report_locking_run(r.id) INTO report FROM runs r
      WHERE r.specimen_id = OLD.id AND report_locking_run(r.id) IS NOT NULL LIMIT 1;
  ELSIF TG_TABLE_NAME = 'lots' THEN
    SELECT report_locking_sample(s.id) INTO report FROM samples s
      WHERE s.lot_id = OLD.id AND report_locking_sample(s.id) IS NOT NULL LIMIT 1;
  ELSIF TG_TABLE_NAME = 'specifications' THEN
    SELECT report_locking_sample(s.id) INTO report FROM samples s JOIN lots l ON l.id = s.lot_id
      WHERE l.specification_id = OLD.id AND report_locking_sample(s.id) IS NOT NULL LIMIT 1;
  END IF;
  IF report IS NOT NULL THEN
    RAISE EXCEPTION 'signed report % rests on this; open an amendment with its reason first', report
      USING ERRCODE = 'BR002';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
-- Who acts and in which use case is set by the server for its transaction; a change from elsewhere shows the role.
-- Bytes of files and password hashes stay out of the trail.
CREATE FUNCTION write_audit() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
DECLARE
  old_row jsonb := CASE WHEN TG_OP = 'INSERT' THEN NULL ELSE to_jsonb(OLD) - 'bytes' - 'pdf' - 'password' END;
  new_row jsonb := CASE WHEN TG_OP = 'DELETE' THEN NULL ELSE to_jsonb(NEW) - 'bytes' - 'pdf' - 'password' END;
  whole jsonb := coalesce(new_row, old_row);
BEGIN
  INSERT INTO audit (actor, use_case, table_name, row_key, action, before, after)
  VALUES (coalesce(nullif(current_setting('bricole.actor', true), ''), 'database role ' || session_user),
          nullif(current_setting('bricole.use_case', true), ''),
          TG_TABLE_NAME,
          coalesce(whole ->> 'id', whole ->> 'revision', whole ->> 'reason_id',
                   concat_ws('/', whole ->> 'report_id', whole ->> 'job_id', whole ->> 'specification_id',
                             whole ->> 'outcome_id', whole ->> 'person_id', whole ->> 'criterion')),
          lower(TG_OP), old_row, new_row);
  RETURN NULL;
END $$;
--> statement-breakpoint
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['people','accounts','jobs','job_clients','specifications','requirements','lots','samples',
    'specimens','specimen_events','runs','readings','outcomes','run_reasons','reason_acceptances','equipment',
    'equipment_verifications','attachments','limit_changes','reports','report_outcomes','amendments','follow_ups',
    'handovers','loads','sampling_plans','cards','storages','storage_duties','plant_batches','load_logs','press_feeds',
    'batches','batch_members'] LOOP
    EXECUTE format('CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION write_audit()', name);
    EXECUTE format('CREATE TRIGGER keep BEFORE TRUNCATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
  -- Records that only grow.
  FOREACH name IN ARRAY ARRAY['specimen_events','readings','outcomes','run_reasons','reason_acceptances',
    'equipment_verifications','attachments','limit_changes','report_outcomes','amendments','follow_ups','audit',
    'requirements','handovers','sampling_plans','storage_duties','plant_batches','load_logs','press_readings',
    'batches','batch_members','sign_ins'] LOOP
    EXECUTE format('CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
  -- Records that may be corrected but never taken away.
  FOREACH name IN ARRAY ARRAY['people','jobs','specifications','lots','samples','specimens','runs','equipment','reports',
    'cards','storages','press_feeds','loads'] LOOP
    EXECUTE format('CREATE TRIGGER no_delete BEFORE DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
  FOREACH name IN ARRAY ARRAY['samples','specimens','lots','specifications'] LOOP
    EXECUTE format('CREATE TRIGGER signed_basis BEFORE UPDATE ON %I FOR EACH ROW EXECUTE FUNCTION protect_sample_basis()', name);
  END LOOP;
  FOREACH name IN ARRAY ARRAY['audit','press_readings','sign_ins'] LOOP
    EXECUTE format('CREATE TRIGGER keep BEFORE TRUNCATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
END $$;
--> statement-breakpoint
CREATE TRIGGER signed BEFORE UPDATE ON reports FOR EACH ROW EXECUTE FUNCTION protect_signed_report();
--> statement-breakpoint
CREATE TRIGGER signed BEFORE INSERT ON report_outcomes FOR EACH ROW EXECUTE FUNCTION protect_report_basis();
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE UPDATE ON runs FOR EACH ROW EXECUTE FUNCTION protect_run();
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE INSERT ON readings FOR EACH ROW EXECUTE FUNCTION protect_reading();
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE INSERT ON outcomes FOR EACH ROW EXECUTE FUNCTION protect_run();
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE INSERT ON attachments FOR EACH ROW EXECUTE FUNCTION protect_run();
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE INSERT ON run_reasons FOR EACH ROW EXECUTE FUNCTION protect_run();
--> statement-breakpoint
ALTER TABLE reports ADD CONSTRAINT reports_replaces FOREIGN KEY (replaces_id) REFERENCES reports (id);
--> statement-breakpoint
ALTER TABLE amendments ADD CONSTRAINT amendments_report FOREIGN KEY (report_id) REFERENCES reports (id);
--> statement-breakpoint
ALTER TABLE runs ADD CONSTRAINT runs_subject CHECK (num_nonnulls(specimen_id, sample_id, lot_id, batch_id) = 1);
--> statement-breakpoint
ALTER TABLE reports ADD CONSTRAINT reports_signature
  CHECK ((state = 'signed') = (signed_at IS NOT NULL AND signed_by IS NOT NULL AND content IS NOT NULL));
--> statement-breakpoint
ALTER TABLE specimens ADD CONSTRAINT specimens_window
  CHECK ((age_hours IS NULL) = (opens_at IS NULL) AND (opens_at IS NULL) = (closes_at IS NULL));
--> statement-breakpoint
-- Which lot a changed row belongs to, told on one channel. The application servers listen and pass it on.
CREATE FUNCTION tell_lot() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$
DECLARE
  whole jsonb := to_jsonb(NEW);
  run uuid := (whole ->> 'run_id')::uuid;
  sample uuid := (whole ->> 'sample_id')::uuid;
  lot uuid := (whole ->> 'lot_id')::uuid;
BEGIN
  IF TG_TABLE_NAME = 'runs' THEN run := (whole ->> 'id')::uuid; END IF;
  IF TG_TABLE_NAME = 'samples' THEN sample := (whole ->> 'id')::uuid; END IF;
  IF run IS NOT NULL THEN
    SELECT coalesce(r.sample_id, s.sample_id), r.lot_id INTO sample, lot
      FROM runs r LEFT JOIN specimens s ON s.id = r.specimen_id WHERE r.id = run;
  END IF;
  IF lot IS NULL AND sample IS NOT NULL THEN
    SELECT lot_id INTO lot FROM samples WHERE id = sample;
  END IF;
  IF lot IS NOT NULL THEN
    PERFORM pg_notify('bricole_live', json_build_object('lot', lot, 'sample', sample, 'run', run)::text);
  END IF;
  RETURN NULL;
END $$;
--> statement-breakpoint
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['readings','outcomes','runs','samples','specimens','loads','sampling_plans','attachments'] LOOP
    EXECUTE format('CREATE TRIGGER tell AFTER INSERT OR UPDATE ON %I FOR EACH ROW EXECUTE FUNCTION tell_lot()', name);
  END LOOP;
  EXECUTE 'CREATE TRIGGER tell AFTER INSERT ON plant_batches FOR EACH ROW EXECUTE FUNCTION tell_lot()';
END $$;
--> statement-breakpoint
-- A certificate is withdrawn once and otherwise stays as it was entered.
CREATE FUNCTION protect_card() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF OLD.withdrawn_on IS NOT NULL
     OR (to_jsonb(NEW) - 'withdrawn_on' - 'withdrawn_reason') <> (to_jsonb(OLD) - 'withdrawn_on' - 'withdrawn_reason') THEN
    RAISE EXCEPTION 'a certificate is never changed: withdraw it and enter another' USING ERRCODE = 'BR001';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER protect BEFORE UPDATE ON cards FOR EACH ROW EXECUTE FUNCTION protect_card();
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE INSERT ON load_logs FOR EACH ROW EXECUTE FUNCTION protect_run();
--> statement-breakpoint
-- A feed of a machine may be closed once.
CREATE TRIGGER closed BEFORE UPDATE ON press_feeds FOR EACH ROW WHEN (OLD.closed_at IS NOT NULL) EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE INSERT ON press_feeds FOR EACH ROW EXECUTE FUNCTION protect_run();
--> statement-breakpoint
-- Which specimens make the mean of a set is part of what a signed report rests on.
-- A broken specimen leaves its set by the reviewed way only; what was thrown away by mistake comes back, but not under
-- a signed report that says it was gone.
CREATE FUNCTION protect_set() RETURNS trigger LANGUAGE plpgsql AS $$
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
CREATE TRIGGER signed_basis BEFORE INSERT ON specimen_events FOR EACH ROW EXECUTE FUNCTION protect_set();
--> statement-breakpoint
-- A load is corrected with its reason or struck out, never taken away; the trail keeps what it was.
CREATE FUNCTION protect_load() RETURNS trigger LANGUAGE plpgsql AS $$
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
-- Who lost access or changed their part is told to every server, so that what streams to them ends.
CREATE FUNCTION tell_access() RETURNS trigger LANGUAGE plpgsql AS $$
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
REVOKE EXECUTE ON FUNCTION write_audit(), tell_lot() FROM PUBLIC;
--> statement-breakpoint
GRANT USAGE ON SCHEMA public TO bricole_app;
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON ALL TABLES IN SCHEMA public TO bricole_app;
--> statement-breakpoint
GRANT DELETE ON sessions, verifications, rate_limits, accounts TO bricole_app;
--> statement-breakpoint
REVOKE INSERT, UPDATE ON audit FROM bricole_app;
--> statement-breakpoint
GRANT USAGE ON ALL SEQUENCES IN SCHEMA public TO bricole_app;
--> statement-breakpoint
-- What only grows is not even offered for change.
REVOKE UPDATE ON press_readings, sign_ins FROM bricole_app;
--> statement-breakpoint
GRANT USAGE ON SCHEMA practice TO bricole_app;
--> statement-breakpoint
GRANT SELECT, INSERT ON practice.attempts TO bricole_app;
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
