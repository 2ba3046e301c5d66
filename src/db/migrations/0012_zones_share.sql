-- A sample that is taken changes what the others of its place want, where points are counted over the whole of it.
DROP TRIGGER touch_sample ON samples;
--> statement-breakpoint
CREATE TRIGGER touch_sample AFTER INSERT OR UPDATE ON samples FOR EACH ROW EXECUTE FUNCTION touch_sample();
