ALTER TABLE "limit_changes" ADD COLUMN "job_id" uuid;--> statement-breakpoint
ALTER TABLE "limit_changes" ADD CONSTRAINT "limit_changes_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "limit_changes_job_id_index" ON "limit_changes" USING btree ("job_id");