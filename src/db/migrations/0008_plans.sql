CREATE TABLE "lot_pictures" (
	"id" uuid PRIMARY KEY NOT NULL,
	"lot_id" uuid NOT NULL,
	"name" text NOT NULL,
	"mime" text NOT NULL,
	"sha256" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "lot_plans" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigserial NOT NULL,
	"lot_id" uuid NOT NULL,
	"picture_id" uuid,
	"plan" jsonb NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "lot_pictures" ADD CONSTRAINT "lot_pictures_lot_id_lots_id_fk" FOREIGN KEY ("lot_id") REFERENCES "public"."lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lot_pictures" ADD CONSTRAINT "lot_pictures_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lot_plans" ADD CONSTRAINT "lot_plans_lot_id_lots_id_fk" FOREIGN KEY ("lot_id") REFERENCES "public"."lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lot_plans" ADD CONSTRAINT "lot_plans_picture_id_lot_pictures_id_fk" FOREIGN KEY ("picture_id") REFERENCES "public"."lot_pictures"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lot_plans" ADD CONSTRAINT "lot_plans_by_people_id_fk" FOREIGN KEY ("by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "lot_pictures_lot_id_index" ON "lot_pictures" USING btree ("lot_id");--> statement-breakpoint
CREATE INDEX "lot_plans_lot_id_seq_index" ON "lot_plans" USING btree ("lot_id","seq");
--> statement-breakpoint
GRANT SELECT, INSERT ON lot_pictures, lot_plans TO bricole_app;
--> statement-breakpoint
GRANT USAGE ON SEQUENCE lot_plans_seq_seq TO bricole_app;
--> statement-breakpoint
CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON lot_pictures FOR EACH ROW EXECUTE FUNCTION write_audit();
--> statement-breakpoint
CREATE TRIGGER audit AFTER INSERT OR UPDATE OR DELETE ON lot_plans FOR EACH ROW EXECUTE FUNCTION write_audit();
--> statement-breakpoint
CREATE TRIGGER keep BEFORE TRUNCATE ON lot_pictures FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER keep BEFORE TRUNCATE ON lot_plans FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON lot_pictures FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON lot_plans FOR EACH ROW EXECUTE FUNCTION refuse_change();
