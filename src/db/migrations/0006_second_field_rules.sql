-- The new records under the same rules as the rest. Training has its own schema and no part in the audit of tests.

DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['cards','storages','storage_duties','batches'] LOOP
    EXECUTE format('CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION write_audit()', name);
    EXECUTE format('CREATE TRIGGER keep BEFORE TRUNCATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
  FOREACH name IN ARRAY ARRAY['storage_duties','batches'] LOOP
    EXECUTE format('CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
  EXECUTE 'CREATE TRIGGER tell AFTER INSERT ON batches FOR EACH ROW EXECUTE FUNCTION tell_placement()';
  FOREACH name IN ARRAY ARRAY['cards','storages'] LOOP
    EXECUTE format('CREATE TRIGGER no_delete BEFORE DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
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
GRANT USAGE ON SCHEMA practice TO bricole_app;
--> statement-breakpoint
GRANT SELECT, INSERT ON practice.attempts TO bricole_app;
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON cards, storages, storage_duties, batches TO bricole_app;
