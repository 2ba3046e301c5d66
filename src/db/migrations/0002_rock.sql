ALTER TABLE "reports" ALTER COLUMN "sample_id" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "about" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "reports" ADD COLUMN "lot_id" uuid;--> statement-breakpoint
ALTER TABLE "reports" ADD CONSTRAINT "reports_lot_id_lots_id_fk" FOREIGN KEY ("lot_id") REFERENCES "public"."lots"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "reports_lot_id_index" ON "reports" USING btree ("lot_id");--> statement-breakpoint
ALTER TABLE "reports" ADD CONSTRAINT "reports_of_one" CHECK (num_nonnulls(sample_id, lot_id) = 1);--> statement-breakpoint
-- A report of a lot locks every sample of it, as a report of a sample locks that one.
CREATE OR REPLACE FUNCTION report_locking_sample(wanted uuid) RETURNS text LANGUAGE sql STABLE
SET search_path = pg_catalog, public, pg_temp AS $$
  SELECT r.number || ' rev ' || r.revision
  FROM reports r
  WHERE (r.sample_id = wanted OR r.lot_id = (SELECT s.lot_id FROM samples s WHERE s.id = wanted)) AND r.state = 'signed'
    AND NOT EXISTS (SELECT FROM reports later WHERE later.replaces_id = r.id AND later.state = 'signed')
    AND NOT EXISTS (SELECT FROM amendments a WHERE a.report_id = r.id)
  LIMIT 1
$$;
