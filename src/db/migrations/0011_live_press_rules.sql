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
