CREATE TABLE "notes" (
	"id" text PRIMARY KEY NOT NULL,
	"sheet_id" text NOT NULL,
	"content" jsonb NOT NULL,
	"origin" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "practice" (
	"id" text PRIMARY KEY NOT NULL,
	"content" jsonb NOT NULL,
	"origin" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "swatches" (
	"id" text PRIMARY KEY NOT NULL,
	"pencil_id" text NOT NULL,
	"paper" text NOT NULL,
	"patch" text NOT NULL,
	"ground" text NOT NULL,
	"lab" jsonb NOT NULL,
	"origin" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "tools" (
	"id" text PRIMARY KEY NOT NULL,
	"tray_id" text NOT NULL,
	"place" integer NOT NULL,
	"content" jsonb NOT NULL,
	"origin" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "trials" (
	"id" text PRIMARY KEY NOT NULL,
	"sheet_id" text NOT NULL,
	"content" jsonb NOT NULL,
	"origin" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "pencils" ADD COLUMN "barrel" text;--> statement-breakpoint
ALTER TABLE "pencils" ADD COLUMN "note" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "pencils" ADD COLUMN "hardness" real;--> statement-breakpoint
ALTER TABLE "pencils" ADD COLUMN "point_minutes" real;--> statement-breakpoint
ALTER TABLE "pencils" ADD COLUMN "lead_mm" real;--> statement-breakpoint
ALTER TABLE "notes" ADD CONSTRAINT "notes_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "swatches" ADD CONSTRAINT "swatches_pencil_id_pencils_id_fk" FOREIGN KEY ("pencil_id") REFERENCES "public"."pencils"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tools" ADD CONSTRAINT "tools_tray_id_trays_id_fk" FOREIGN KEY ("tray_id") REFERENCES "public"."trays"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trials" ADD CONSTRAINT "trials_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "notes_sheet" ON "notes" USING btree ("sheet_id");--> statement-breakpoint
CREATE INDEX "swatches_pencil" ON "swatches" USING btree ("pencil_id");--> statement-breakpoint
CREATE INDEX "trials_sheet" ON "trials" USING btree ("sheet_id");