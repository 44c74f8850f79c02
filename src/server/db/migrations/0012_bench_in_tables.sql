CREATE TABLE "bench_steps" (
	"plan_id" text NOT NULL,
	"step_id" text NOT NULL,
	"number" integer NOT NULL,
	"place" integer NOT NULL,
	"thing_id" text NOT NULL,
	"layer_id" text NOT NULL,
	"pencil" text NOT NULL,
	"tool" text,
	"region_ids" integer[] NOT NULL,
	"pressure" text NOT NULL,
	"passes" integer NOT NULL,
	"stroke" text NOT NULL,
	"point" text NOT NULL,
	"minutes" double precision NOT NULL,
	"covered_mm2" double precision,
	"content" jsonb NOT NULL,
	"state" text DEFAULT 'open' NOT NULL,
	"state_seq" integer,
	"begun_minutes" double precision DEFAULT 0 NOT NULL,
	CONSTRAINT "bench_steps_plan_id_step_id_pk" PRIMARY KEY("plan_id","step_id"),
	CONSTRAINT "bench_steps_state" CHECK ("bench_steps"."state" in ('open', 'done', 'skipped')),
	CONSTRAINT "bench_steps_regions" CHECK (cardinality("bench_steps"."region_ids") > 0)
);
--> statement-breakpoint
CREATE TABLE "planned_wear" (
	"sheet_id" text PRIMARY KEY NOT NULL,
	"made_for" text NOT NULL,
	"content" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "bench_plans" DROP CONSTRAINT "bench_plans_sheet_id_sheets_id_fk";
--> statement-breakpoint
ALTER TABLE "commands" DROP CONSTRAINT "commands_sheet_id_sheets_id_fk";
--> statement-breakpoint
ALTER TABLE "notes" DROP CONSTRAINT "notes_sheet_id_sheets_id_fk";
--> statement-breakpoint
ALTER TABLE "pencils" DROP CONSTRAINT "pencils_tray_id_trays_id_fk";
--> statement-breakpoint
ALTER TABLE "reference_pictures" DROP CONSTRAINT "reference_pictures_sheet_id_sheets_id_fk";
--> statement-breakpoint
ALTER TABLE "region_maps" DROP CONSTRAINT "region_maps_sheet_id_sheets_id_fk";
--> statement-breakpoint
ALTER TABLE "step_log" DROP CONSTRAINT "step_log_plan_id_bench_plans_id_fk";
--> statement-breakpoint
ALTER TABLE "swatch_cards" DROP CONSTRAINT "swatch_cards_tray_id_trays_id_fk";
--> statement-breakpoint
ALTER TABLE "swatches" DROP CONSTRAINT "swatches_pencil_id_pencils_id_fk";
--> statement-breakpoint
ALTER TABLE "swatches" DROP CONSTRAINT "swatches_over_pencils_id_fk";
--> statement-breakpoint
ALTER TABLE "tools" DROP CONSTRAINT "tools_tray_id_trays_id_fk";
--> statement-breakpoint
ALTER TABLE "tray_fits" DROP CONSTRAINT "tray_fits_tray_id_trays_id_fk";
--> statement-breakpoint
ALTER TABLE "trial_patches" DROP CONSTRAINT "trial_patches_tray_id_trays_id_fk";
--> statement-breakpoint
ALTER TABLE "trials" DROP CONSTRAINT "trials_sheet_id_sheets_id_fk";
--> statement-breakpoint
ALTER TABLE "bench_steps" ADD CONSTRAINT "bench_steps_plan_id_bench_plans_id_fk" FOREIGN KEY ("plan_id") REFERENCES "public"."bench_plans"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_wear" ADD CONSTRAINT "planned_wear_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bench_plans" ADD CONSTRAINT "bench_plans_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "commands" ADD CONSTRAINT "commands_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "notes" ADD CONSTRAINT "notes_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pencils" ADD CONSTRAINT "pencils_tray_id_trays_id_fk" FOREIGN KEY ("tray_id") REFERENCES "public"."trays"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_pictures" ADD CONSTRAINT "reference_pictures_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "region_maps" ADD CONSTRAINT "region_maps_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
INSERT INTO "bench_steps" ("plan_id", "step_id", "number", "place", "thing_id", "layer_id", "pencil", "tool", "region_ids", "pressure", "passes", "stroke", "point", "minutes", "covered_mm2", "content")
SELECT p."id", s ->> 'id', e."number" - 1, o."place" - 1, s ->> 'thingId', s ->> 'layerId', s ->> 'pencil', s ->> 'tool',
  ARRAY(SELECT jsonb_array_elements_text(s -> 'regionIds')::integer),
  s ->> 'pressure', (s ->> 'passes')::integer, s ->> 'stroke', s ->> 'point', (s ->> 'minutes')::double precision, (s ->> 'coveredMm2')::double precision,
  s - ARRAY['id', 'thingId', 'layerId', 'pencil', 'tool', 'regionIds', 'pressure', 'passes', 'stroke', 'point', 'minutes', 'coveredMm2']
FROM "bench_plans" p
CROSS JOIN LATERAL jsonb_array_elements(p."content" -> 'steps') WITH ORDINALITY e(s, "number")
JOIN LATERAL jsonb_array_elements_text(p."content" -> 'order') WITH ORDINALITY o("id", "place") ON o."id" = s ->> 'id';--> statement-breakpoint
UPDATE "bench_steps" SET "content" = jsonb_set("content" - 'halfWidthMm', '{zone,overMm}', "content" -> 'halfWidthMm')
WHERE "content" -> 'halfWidthMm' IS NOT NULL AND "content" #> '{zone,overMm}' IS NULL;--> statement-breakpoint
UPDATE "bench_plans" SET "content" = '{"sharpenings": 0, "smearCm2": 0, "leftOut": [], "madeFor": null, "ratesFrom": 0, "pickUpSeconds": 12}'::jsonb || ("content" - 'steps' - 'order');--> statement-breakpoint
DELETE FROM "step_log" l WHERE NOT EXISTS (SELECT 1 FROM "bench_steps" s WHERE s."plan_id" = l."plan_id" AND s."step_id" = l."step_id");--> statement-breakpoint
UPDATE "bench_steps" s SET "state_seq" = l."seq", "state" = CASE l."kind" WHEN 'done' THEN 'done' WHEN 'skipped' THEN 'skipped' ELSE 'open' END
FROM (SELECT DISTINCT ON ("plan_id", "step_id") "plan_id", "step_id", "kind", "seq" FROM "step_log" ORDER BY "plan_id", "step_id", "seq" DESC) l
WHERE s."plan_id" = l."plan_id" AND s."step_id" = l."step_id";--> statement-breakpoint
UPDATE "bench_steps" s SET "begun_minutes" = b."minutes"
FROM (
  SELECT l."plan_id", l."step_id", sum(greatest(0, extract(epoch FROM l."finished_at" - l."started_at") / 60 - l."paused_seconds" / 60.0)) AS "minutes"
  FROM "step_log" l
  WHERE l."kind" = 'part done' AND l."seq" > coalesce((
    SELECT max(n."seq") FROM "step_log" n WHERE n."plan_id" = l."plan_id" AND n."step_id" = l."step_id" AND n."kind" = 'not done after all'), 0)
  GROUP BY l."plan_id", l."step_id"
) b
WHERE s."plan_id" = b."plan_id" AND s."step_id" = b."step_id";--> statement-breakpoint
ALTER TABLE "step_log" ADD CONSTRAINT "step_log_plan_id_step_id_bench_steps_plan_id_step_id_fk" FOREIGN KEY ("plan_id","step_id") REFERENCES "public"."bench_steps"("plan_id","step_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "swatch_cards" ADD CONSTRAINT "swatch_cards_tray_id_trays_id_fk" FOREIGN KEY ("tray_id") REFERENCES "public"."trays"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "swatches" ADD CONSTRAINT "swatches_pencil_id_pencils_id_fk" FOREIGN KEY ("pencil_id") REFERENCES "public"."pencils"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "swatches" ADD CONSTRAINT "swatches_over_pencils_id_fk" FOREIGN KEY ("over") REFERENCES "public"."pencils"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tools" ADD CONSTRAINT "tools_tray_id_trays_id_fk" FOREIGN KEY ("tray_id") REFERENCES "public"."trays"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tray_fits" ADD CONSTRAINT "tray_fits_tray_id_trays_id_fk" FOREIGN KEY ("tray_id") REFERENCES "public"."trays"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trial_patches" ADD CONSTRAINT "trial_patches_tray_id_trays_id_fk" FOREIGN KEY ("tray_id") REFERENCES "public"."trays"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trials" ADD CONSTRAINT "trials_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "step_log_seq" ON "step_log" USING btree ("seq");--> statement-breakpoint
ALTER TABLE "step_log" ADD CONSTRAINT "step_log_kind" CHECK ("step_log"."kind" in ('done', 'part done', 'skipped', 'not done after all'));