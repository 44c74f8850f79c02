CREATE TABLE "trial_patches" (
	"id" text PRIMARY KEY NOT NULL,
	"tray_id" text NOT NULL,
	"content" jsonb NOT NULL,
	"origin" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "trial_patches" ADD CONSTRAINT "trial_patches_tray_id_trays_id_fk" FOREIGN KEY ("tray_id") REFERENCES "public"."trays"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "trial_patches_tray" ON "trial_patches" USING btree ("tray_id");