-- Records of power are kept as those of temperatures are.
ALTER TABLE "temperature_records" RENAME TO "kept_records";--> statement-breakpoint
ALTER TABLE "kept_records" RENAME CONSTRAINT "temperature_records_pkey" TO "kept_records_pkey";--> statement-breakpoint
ALTER TABLE "kept_records" RENAME CONSTRAINT "temperature_records_run_id_runs_id_fk" TO "kept_records_run_id_runs_id_fk";--> statement-breakpoint
ALTER TABLE "kept_records" RENAME CONSTRAINT "temperature_records_by_people_id_fk" TO "kept_records_by_people_id_fk";--> statement-breakpoint
ALTER INDEX "temperature_records_run_id_field_seq_index" RENAME TO "kept_records_run_id_field_seq_index";--> statement-breakpoint
ALTER SEQUENCE "temperature_records_seq_seq" RENAME TO "kept_records_seq_seq";
