ALTER TABLE "specimens" ADD COLUMN "specified_strength" text;--> statement-breakpoint
ALTER TABLE "equipment" ADD COLUMN "compound" jsonb;