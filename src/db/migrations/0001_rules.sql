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
  ELSIF TG_TABLE_NAME = 'placements' THEN
    SELECT report_locking_sample(s.id) INTO report FROM samples s
      WHERE s.placement_id = OLD.id AND report_locking_sample(s.id) IS NOT NULL LIMIT 1;
  ELSIF TG_TABLE_NAME = 'mixes' THEN
    SELECT report_locking_sample(s.id) INTO report FROM samples s JOIN placements p ON p.id = s.placement_id
      WHERE p.mix_id = OLD.id AND report_locking_sample(s.id) IS NOT NULL LIMIT 1;
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
                   concat_ws('/', whole ->> 'report_id', whole ->> 'job_id', whole ->> 'mix_id',
                             whole ->> 'outcome_id', whole ->> 'person_id', whole ->> 'criterion')),
          lower(TG_OP), old_row, new_row);
  RETURN NULL;
END $$;
--> statement-breakpoint
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['people','accounts','jobs','job_clients','mixes','mix_criteria','placements','samples',
    'specimens','specimen_events','runs','readings','outcomes','run_reasons','reason_acceptances','equipment',
    'equipment_verifications','attachments','limit_changes','reports','report_outcomes','amendments','follow_ups'] LOOP
    EXECUTE format('CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION write_audit()', name);
    EXECUTE format('CREATE TRIGGER keep BEFORE TRUNCATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
  -- Records that only grow.
  FOREACH name IN ARRAY ARRAY['specimen_events','readings','outcomes','run_reasons','reason_acceptances',
    'equipment_verifications','attachments','limit_changes','report_outcomes','amendments','follow_ups','audit',
    'mix_criteria'] LOOP
    EXECUTE format('CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
  -- Records that may be corrected but never taken away.
  FOREACH name IN ARRAY ARRAY['people','jobs','mixes','placements','samples','specimens','runs','equipment','reports'] LOOP
    EXECUTE format('CREATE TRIGGER no_delete BEFORE DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
  FOREACH name IN ARRAY ARRAY['samples','specimens','placements','mixes'] LOOP
    EXECUTE format('CREATE TRIGGER signed_basis BEFORE UPDATE ON %I FOR EACH ROW EXECUTE FUNCTION protect_sample_basis()', name);
  END LOOP;
END $$;
--> statement-breakpoint
CREATE TRIGGER keep BEFORE TRUNCATE ON audit FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
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
ALTER TABLE runs ADD CONSTRAINT runs_subject CHECK (num_nonnulls(specimen_id, sample_id) = 1);
--> statement-breakpoint
ALTER TABLE reports ADD CONSTRAINT reports_signature
  CHECK ((state = 'signed') = (signed_at IS NOT NULL AND signed_by IS NOT NULL AND content IS NOT NULL));
--> statement-breakpoint
ALTER TABLE specimens ADD CONSTRAINT specimens_window
  CHECK ((age_hours IS NULL) = (opens_at IS NULL) AND (opens_at IS NULL) = (closes_at IS NULL));
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
