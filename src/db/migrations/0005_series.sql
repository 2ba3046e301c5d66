DROP INDEX "sets_in_order";--> statement-breakpoint
DROP INDEX "verdicts_of_specification";--> statement-breakpoint
ALTER TABLE "sets" ADD COLUMN "series" text;--> statement-breakpoint
-- Until now there was one series only, of strength tests.
UPDATE "sets" SET "series" = 'strength' WHERE "counts";--> statement-breakpoint
UPDATE "verdicts" SET "key" = 'strength' WHERE "key" = '' AND "criterion" IN ('running-average', 'individual');--> statement-breakpoint
CREATE INDEX "sets_in_order" ON "sets" USING btree ("specification_id","series","released","sampled_at","label") WHERE series IS NOT NULL;--> statement-breakpoint
CREATE INDEX "verdicts_of_specification" ON "verdicts" USING btree ("specification_id","released","share");