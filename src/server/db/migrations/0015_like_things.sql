-- Orders that were made before like things were laid together name none.
UPDATE "bench_plans" SET "content" = '{"alike": []}'::jsonb || "content";
