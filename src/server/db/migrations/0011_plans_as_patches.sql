ALTER TABLE "commands" ALTER COLUMN "before" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "commands" ALTER COLUMN "after" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "commands" ADD COLUMN "patches" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "commands" ADD COLUMN "inverse" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "region_maps" ADD COLUMN "from" text;--> statement-breakpoint
ALTER TABLE "region_maps" ADD COLUMN "count" integer;--> statement-breakpoint
UPDATE "region_maps" SET "from" = "meta" ->> 'from', "count" = coalesce(jsonb_array_length("meta" -> 'regions'), 0);--> statement-breakpoint
ALTER TABLE "region_maps" ALTER COLUMN "from" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "region_maps" ALTER COLUMN "count" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "region_maps" DROP CONSTRAINT "region_maps_pkey";--> statement-breakpoint
ALTER TABLE "region_maps" ADD CONSTRAINT "region_maps_sheet_id_from_pk" PRIMARY KEY("sheet_id","from");--> statement-breakpoint
ALTER TABLE "sheets" ADD COLUMN "width_mm" real;--> statement-breakpoint
ALTER TABLE "sheets" ADD COLUMN "height_mm" real;--> statement-breakpoint
ALTER TABLE "sheets" ADD COLUMN "paper" text;--> statement-breakpoint
ALTER TABLE "sheets" ADD COLUMN "thing_count" integer;--> statement-breakpoint
ALTER TABLE "sheets" ADD COLUMN "regions_from" text;--> statement-breakpoint
UPDATE "sheets" SET
  "width_mm" = ("plan" #>> '{page,widthMm}')::real,
  "height_mm" = ("plan" #>> '{page,heightMm}')::real,
  "paper" = "plan" #>> '{page,paper}',
  "thing_count" = coalesce(jsonb_array_length("plan" -> 'things'), 0),
  "regions_from" = (SELECT "from" FROM "region_maps" WHERE "sheet_id" = "sheets"."id");--> statement-breakpoint
ALTER TABLE "sheets" ALTER COLUMN "width_mm" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "sheets" ALTER COLUMN "height_mm" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "sheets" ALTER COLUMN "paper" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "sheets" ALTER COLUMN "thing_count" SET NOT NULL;
