-- What was drawn stays drawn.
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['diameter_lots','diameter_lot_specimens'] LOOP
    EXECUTE format('CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION write_audit()', name);
    EXECUTE format('CREATE TRIGGER keep BEFORE TRUNCATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()', name);
    EXECUTE format('CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_change()', name);
  END LOOP;
END $$;
--> statement-breakpoint
GRANT SELECT, INSERT ON diameter_lots, diameter_lot_specimens TO bricole_app;
