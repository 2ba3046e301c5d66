CREATE TABLE "invitations" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"person_id" text NOT NULL,
	"secret_sha256" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone,
	CONSTRAINT "invitations_secret_sha256_unique" UNIQUE("secret_sha256")
);
--> statement-breakpoint
ALTER TABLE "job_clients" ADD COLUMN "ended_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "invitations" ADD CONSTRAINT "invitations_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitations" ADD CONSTRAINT "invitations_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "invitations_person_id_at_index" ON "invitations" USING btree ("person_id","at");--> statement-breakpoint
CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON invitations FOR EACH ROW EXECUTE FUNCTION write_audit();
--> statement-breakpoint
CREATE TRIGGER no_delete BEFORE DELETE ON invitations FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER keep BEFORE TRUNCATE ON invitations FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
ALTER TABLE invitations ADD CONSTRAINT invitations_at_years CHECK (at BETWEEN '1990-01-01Z' AND '2200-01-01Z');
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON invitations TO bricole_app;
--> statement-breakpoint
-- A client who is taken off a job is told so too: what streams to them ends.
CREATE OR REPLACE FUNCTION tell_access() RETURNS trigger LANGUAGE plpgsql SET search_path = pg_catalog, public, pg_temp AS $$
DECLARE old_row jsonb := to_jsonb(OLD);
BEGIN
  PERFORM pg_notify('bricole_access', CASE WHEN TG_TABLE_NAME = 'people' THEN old_row ->> 'id'
                                           ELSE coalesce(old_row ->> 'user_id', old_row ->> 'person_id') END);
  RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER tell AFTER UPDATE ON job_clients FOR EACH ROW EXECUTE FUNCTION tell_access();
