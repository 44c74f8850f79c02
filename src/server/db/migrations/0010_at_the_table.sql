ALTER TABLE "step_log" ADD COLUMN "paused_seconds" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "step_log" ADD COLUMN "used_pencil" text;--> statement-breakpoint
ALTER TABLE "step_log" ADD COLUMN "came_out" text;