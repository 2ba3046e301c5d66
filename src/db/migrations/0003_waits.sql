CREATE TABLE "waits" (
	"owner" uuid NOT NULL,
	"key" text NOT NULL,
	"specimen_id" uuid,
	"sample_id" uuid,
	"lot_id" uuid,
	"run_id" uuid,
	"storage_id" uuid,
	"what" text NOT NULL,
	"lane" text NOT NULL,
	"age_hours" integer,
	"opens_at" timestamp with time zone NOT NULL,
	"best_at" timestamp with time zone,
	"closes_at" timestamp with time zone,
	"done_at" timestamp with time zone,
	"provisional" text,
	CONSTRAINT "waits_owner_key_pk" PRIMARY KEY("owner","key")
);
--> statement-breakpoint
CREATE INDEX "waits_waiting" ON "waits" USING btree ("closes_at") WHERE done_at IS NULL;--> statement-breakpoint
CREATE INDEX "waits_done" ON "waits" USING btree ("done_at") WHERE done_at IS NOT NULL;--> statement-breakpoint
CREATE INDEX "waits_of_sample" ON "waits" USING btree ("sample_id") WHERE specimen_id IS NULL;--> statement-breakpoint
-- A projection is derived from records and holds nothing of its own: it may be written anew, and is no part of the trail.
GRANT SELECT, INSERT, UPDATE, DELETE ON waits TO bricole_app;
--> statement-breakpoint
-- The window of a specimen's age waits for its break, whoever made the specimen and by whichever way. Tells whether
-- anything was another thing than before.
CREATE FUNCTION project_specimen(one specimens) RETURNS boolean LANGUAGE plpgsql
SET search_path = pg_catalog, public, pg_temp AS $$
BEGIN
  IF one.opens_at IS NULL THEN
    DELETE FROM waits WHERE owner = one.id AND key = 'age';
  ELSE
    INSERT INTO waits (owner, key, specimen_id, sample_id, what, lane, age_hours, opens_at, best_at, closes_at, done_at)
    VALUES (one.id, 'age', one.id, one.sample_id, 'Break', 'press', one.age_hours, one.opens_at,
            one.opens_at + (one.closes_at - one.opens_at) / 2, one.closes_at, one.tested_at)
    ON CONFLICT (owner, key) DO UPDATE SET sample_id = excluded.sample_id, age_hours = excluded.age_hours,
      opens_at = excluded.opens_at, best_at = excluded.best_at, closes_at = excluded.closes_at, done_at = excluded.done_at
    WHERE (waits.sample_id, waits.age_hours, waits.opens_at, waits.best_at, waits.closes_at, waits.done_at)
      IS DISTINCT FROM
      (excluded.sample_id, excluded.age_hours, excluded.opens_at, excluded.best_at, excluded.closes_at, excluded.done_at);
  END IF;
  RETURN FOUND;
END $$;
--> statement-breakpoint
CREATE FUNCTION project_age() RETURNS trigger LANGUAGE plpgsql SET search_path = pg_catalog, public, pg_temp AS $$
BEGIN
  PERFORM project_specimen(NEW);
  RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER project_age AFTER INSERT OR UPDATE OF sample_id, age_hours, opens_at, closes_at, tested_at ON specimens
  FOR EACH ROW EXECUTE FUNCTION project_age();
