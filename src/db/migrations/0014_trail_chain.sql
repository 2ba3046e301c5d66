CREATE TABLE "audit_chain" (
	"place" bigserial PRIMARY KEY NOT NULL,
	"entry" bigint NOT NULL,
	"before" text NOT NULL,
	"hash" text NOT NULL,
	CONSTRAINT "audit_chain_entry_unique" UNIQUE("entry")
);
--> statement-breakpoint
ALTER TABLE "reports" ADD COLUMN "pdf_sha256" text GENERATED ALWAYS AS (encode(sha256(pdf), 'hex')) STORED;--> statement-breakpoint
ALTER TABLE "audit_chain" ADD CONSTRAINT "audit_chain_entry_audit_id_fk" FOREIGN KEY ("entry") REFERENCES "public"."audit"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "audit_actor_id_index" ON "audit" USING btree ("actor","id");--> statement-breakpoint
-- What of an entry goes into its hash, in one way whatever the time zone of a session. scripts/check.ts knows the same by itself.
CREATE FUNCTION trail_text(entry audit) RETURNS text LANGUAGE sql IMMUTABLE SET search_path = pg_catalog, public, pg_temp AS $$
  SELECT concat_ws(E'\x1f', entry.id, (extract(epoch FROM entry.at) * 1000000)::bigint, coalesce(entry.actor, ''),
                   coalesce(entry.use_case, ''), entry.table_name, entry.row_key, entry.action,
                   coalesce(entry.before::text, ''), coalesce(entry.after::text, ''))
$$;
--> statement-breakpoint
-- Sealed as a transaction is committed, one transaction after the other: the lock is held from here to its end only.
CREATE FUNCTION seal_trail() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = pg_catalog, public, pg_temp AS $$
DECLARE last text;
BEGIN
  PERFORM pg_advisory_xact_lock(hashtext('bricole trail'));
  SELECT c.hash INTO last FROM audit_chain c ORDER BY c.place DESC LIMIT 1;
  last := coalesce(last, '');
  INSERT INTO audit_chain (entry, before, hash)
  VALUES (NEW.id, last, encode(sha256(convert_to(last || E'\x1e' || trail_text(NEW), 'UTF8')), 'hex'));
  RETURN NULL;
END $$;
--> statement-breakpoint
-- What was written before there was a chain, in its order.
DO $$
DECLARE
  entry audit;
  last text := '';
  own text;
BEGIN
  FOR entry IN SELECT * FROM audit ORDER BY id LOOP
    own := encode(sha256(convert_to(last || E'\x1e' || trail_text(entry), 'UTF8')), 'hex');
    INSERT INTO audit_chain (entry, before, hash) VALUES (entry.id, last, own);
    last := own;
  END LOOP;
END $$;
--> statement-breakpoint
CREATE CONSTRAINT TRIGGER seal AFTER INSERT ON audit DEFERRABLE INITIALLY DEFERRED
  FOR EACH ROW EXECUTE FUNCTION seal_trail();
--> statement-breakpoint
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON audit_chain FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER keep BEFORE TRUNCATE ON audit_chain FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION seal_trail(), trail_text(audit) FROM PUBLIC;
--> statement-breakpoint
GRANT SELECT ON audit_chain TO bricole_app;
--> statement-breakpoint
REVOKE INSERT, UPDATE, DELETE, TRUNCATE ON audit_chain FROM bricole_app;
