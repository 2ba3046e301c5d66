-- Words of a label are found by their parts; the extension is a trusted one, the owner may add it.
CREATE EXTENSION IF NOT EXISTS pg_trgm;
--> statement-breakpoint
CREATE TABLE "sign_ins" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"email" text NOT NULL,
	"person_id" text,
	"address" text DEFAULT '' NOT NULL,
	"outcome" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "loads" ADD COLUMN "correction" text;--> statement-breakpoint
ALTER TABLE "loads" ADD COLUMN "struck_out" text;--> statement-breakpoint
ALTER TABLE "mixes" ADD COLUMN "air_reduced" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "specimens" ADD COLUMN "discarded_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "reports" ADD COLUMN "content_sha256" text;--> statement-breakpoint
ALTER TABLE "sign_ins" ADD CONSTRAINT "sign_ins_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "sign_ins_at_index" ON "sign_ins" USING btree ("at");--> statement-breakpoint
CREATE INDEX "sign_ins_email_at_index" ON "sign_ins" USING btree ("email","at");--> statement-breakpoint
CREATE INDEX "specimens_waiting" ON "specimens" USING btree ("closes_at") WHERE tested_at IS NULL AND discarded_at IS NULL AND closes_at IS NOT NULL;--> statement-breakpoint
CREATE INDEX "specimens_there" ON "specimens" USING btree ("id") WHERE tested_at IS NULL AND discarded_at IS NULL;--> statement-breakpoint
CREATE INDEX "specimens_broken" ON "specimens" USING btree ("tested_at") WHERE tested_at IS NOT NULL;--> statement-breakpoint
CREATE INDEX "specimens_label_words" ON "specimens" USING gin ("label" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "reports_replaces_id_index" ON "reports" USING btree ("replaces_id");--> statement-breakpoint
CREATE INDEX "reports_prepared_at_id_index" ON "reports" USING btree ("prepared_at","id");