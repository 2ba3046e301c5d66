-- Which specimens make the mean of a set is part of what a signed report rests on.
CREATE FUNCTION protect_set() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE report text;
BEGIN
  IF NEW.kind NOT IN ('left out', 'taken back in') THEN RETURN NEW; END IF;
  SELECT report_locking_run(r.id) INTO report FROM runs r
    WHERE r.specimen_id = NEW.specimen_id AND report_locking_run(r.id) IS NOT NULL LIMIT 1;
  IF report IS NOT NULL THEN
    RAISE EXCEPTION 'signed report % rests on this specimen; open an amendment with its reason first', report
      USING ERRCODE = 'BR002';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER signed_basis BEFORE INSERT ON specimen_events FOR EACH ROW EXECUTE FUNCTION protect_set();
