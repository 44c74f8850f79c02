CREATE TABLE "bench_plans" (
	"id" text PRIMARY KEY NOT NULL,
	"sheet_id" text NOT NULL,
	"seq" serial NOT NULL,
	"content" jsonb NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "blobs" (
	"hash" text PRIMARY KEY NOT NULL,
	"mime" text NOT NULL,
	"bytes" "bytea" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "commands" (
	"id" text PRIMARY KEY NOT NULL,
	"sheet_id" text NOT NULL,
	"seq" serial NOT NULL,
	"stage" text NOT NULL,
	"label" text NOT NULL,
	"before" jsonb NOT NULL,
	"after" jsonb NOT NULL,
	"undone" boolean DEFAULT false NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "pencils" (
	"id" text PRIMARY KEY NOT NULL,
	"tray_id" text NOT NULL,
	"place" integer NOT NULL,
	"set" text NOT NULL,
	"code" text NOT NULL,
	"name" text NOT NULL,
	"own_name" text DEFAULT '' NOT NULL,
	"type" text NOT NULL,
	"colour" text NOT NULL,
	"opacity" real,
	"whereabouts" text DEFAULT 'here' NOT NULL,
	"origin" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "region_maps" (
	"sheet_id" text PRIMARY KEY NOT NULL,
	"meta" jsonb NOT NULL,
	"labels_hash" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "settings" (
	"key" text PRIMARY KEY NOT NULL,
	"value" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sheets" (
	"id" text PRIMARY KEY NOT NULL,
	"title" text NOT NULL,
	"origin" text NOT NULL,
	"tray_id" text NOT NULL,
	"original_hash" text NOT NULL,
	"picture_hash" text NOT NULL,
	"picture_width" integer NOT NULL,
	"picture_height" integer NOT NULL,
	"key_hash" text,
	"key_things" jsonb,
	"plan" jsonb NOT NULL,
	"revision" integer DEFAULT 0 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "step_log" (
	"id" text PRIMARY KEY NOT NULL,
	"seq" serial NOT NULL,
	"plan_id" text NOT NULL,
	"step_id" text NOT NULL,
	"kind" text NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	"finished_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "trays" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"origin" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "bench_plans" ADD CONSTRAINT "bench_plans_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "commands" ADD CONSTRAINT "commands_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pencils" ADD CONSTRAINT "pencils_tray_id_trays_id_fk" FOREIGN KEY ("tray_id") REFERENCES "public"."trays"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "region_maps" ADD CONSTRAINT "region_maps_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "region_maps" ADD CONSTRAINT "region_maps_labels_hash_blobs_hash_fk" FOREIGN KEY ("labels_hash") REFERENCES "public"."blobs"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sheets" ADD CONSTRAINT "sheets_tray_id_trays_id_fk" FOREIGN KEY ("tray_id") REFERENCES "public"."trays"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sheets" ADD CONSTRAINT "sheets_original_hash_blobs_hash_fk" FOREIGN KEY ("original_hash") REFERENCES "public"."blobs"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sheets" ADD CONSTRAINT "sheets_picture_hash_blobs_hash_fk" FOREIGN KEY ("picture_hash") REFERENCES "public"."blobs"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sheets" ADD CONSTRAINT "sheets_key_hash_blobs_hash_fk" FOREIGN KEY ("key_hash") REFERENCES "public"."blobs"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "step_log" ADD CONSTRAINT "step_log_plan_id_bench_plans_id_fk" FOREIGN KEY ("plan_id") REFERENCES "public"."bench_plans"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "bench_plans_sheet" ON "bench_plans" USING btree ("sheet_id","seq");--> statement-breakpoint
CREATE INDEX "commands_sheet" ON "commands" USING btree ("sheet_id","seq");--> statement-breakpoint
CREATE UNIQUE INDEX "pencils_set_code" ON "pencils" USING btree ("tray_id","set","code");--> statement-breakpoint
CREATE INDEX "step_log_plan" ON "step_log" USING btree ("plan_id","seq");