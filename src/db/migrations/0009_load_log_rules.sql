-- Load logs under the same rules as the photographs of a run: they only grow, and not under a signed report.

CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON load_logs FOR EACH ROW EXECUTE FUNCTION write_audit();
--> statement-breakpoint
CREATE TRIGGER keep BEFORE TRUNCATE ON load_logs FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON load_logs FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE INSERT ON load_logs FOR EACH ROW EXECUTE FUNCTION protect_run();
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON load_logs TO bricole_app;
