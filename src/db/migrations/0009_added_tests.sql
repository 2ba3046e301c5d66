-- A test that is made later, on a specimen of which a signed report tells an earlier one, adds to it and changes nothing that
-- was signed: the modulus was reported and the cylinder is broken now, the hole was reported when it was drilled.
CREATE OR REPLACE FUNCTION protect_sample_basis() RETURNS trigger LANGUAGE plpgsql
SET search_path = pg_catalog, public, pg_temp AS $$
DECLARE report text;
BEGIN
  IF TG_TABLE_NAME = 'samples' THEN
    report := report_locking_sample(OLD.id);
  ELSIF TG_TABLE_NAME = 'specimens' THEN
    IF OLD.tested_at IS NULL AND NEW.tested_at IS NOT NULL
       AND to_jsonb(NEW) - 'tested_at' = to_jsonb(OLD) - 'tested_at' THEN
      RETURN NEW;
    END IF;
    SELECT report_locking_run(r.id) INTO report FROM runs r
      WHERE r.specimen_id = OLD.id AND report_locking_run(r.id) IS NOT NULL LIMIT 1;
  ELSIF TG_TABLE_NAME = 'lots' THEN
    SELECT report_locking_sample(s.id) INTO report FROM samples s
      WHERE s.lot_id = OLD.id AND report_locking_sample(s.id) IS NOT NULL LIMIT 1;
  ELSIF TG_TABLE_NAME = 'specifications' THEN
    SELECT report_locking_sample(s.id) INTO report FROM samples s JOIN lots l ON l.id = s.lot_id
      WHERE l.specification_id = OLD.id AND report_locking_sample(s.id) IS NOT NULL LIMIT 1;
  END IF;
  IF report IS NOT NULL THEN
    RAISE EXCEPTION 'signed report % rests on this; open an amendment with its reason first', report
      USING ERRCODE = 'BR002';
  END IF;
  RETURN NEW;
END $$;
