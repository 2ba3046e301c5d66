CREATE TABLE "certificates" (
	"id" uuid PRIMARY KEY NOT NULL,
	"verification_id" uuid NOT NULL,
	"name" text NOT NULL,
	"mime" text NOT NULL,
	"sha256" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "certificates" ADD CONSTRAINT "certificates_verification_id_equipment_verifications_id_fk" FOREIGN KEY ("verification_id") REFERENCES "public"."equipment_verifications"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "certificates" ADD CONSTRAINT "certificates_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "certificates_verification_id_at_index" ON "certificates" USING btree ("verification_id","at");--> statement-breakpoint
GRANT SELECT, INSERT ON certificates TO bricole_app;
--> statement-breakpoint
CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON certificates FOR EACH ROW EXECUTE FUNCTION write_audit();
--> statement-breakpoint
CREATE TRIGGER keep BEFORE TRUNCATE ON certificates FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON certificates FOR EACH ROW EXECUTE FUNCTION refuse_change();
