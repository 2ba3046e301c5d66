-- Readings of a machine only grow; a feed may be closed once, and is never taken away.

CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON press_feeds FOR EACH ROW EXECUTE FUNCTION write_audit();
--> statement-breakpoint
CREATE TRIGGER keep BEFORE TRUNCATE ON press_feeds FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER no_delete BEFORE DELETE ON press_feeds FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER closed BEFORE UPDATE ON press_feeds FOR EACH ROW WHEN (OLD.closed_at IS NOT NULL) EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE INSERT ON press_feeds FOR EACH ROW EXECUTE FUNCTION protect_run();
--> statement-breakpoint
CREATE TRIGGER keep BEFORE TRUNCATE ON press_readings FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON press_readings FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON press_feeds TO bricole_app;
--> statement-breakpoint
GRANT SELECT, INSERT ON press_readings TO bricole_app;
--> statement-breakpoint
ALTER TABLE runs DROP CONSTRAINT runs_subject;
--> statement-breakpoint
ALTER TABLE runs ADD CONSTRAINT runs_subject CHECK (num_nonnulls(specimen_id, sample_id, placement_id, batch_id) = 1);
--> statement-breakpoint
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['end_batches','end_batch_specimens'] LOOP
    EXECUTE format('CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION write_audit()', name);
    EXECUTE format('CREATE TRIGGER keep BEFORE TRUNCATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()', name);
    EXECUTE format('CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
END $$;
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON end_batches, end_batch_specimens TO bricole_app;
