ALTER TABLE "region_maps" RENAME COLUMN "labels_hash" TO "index_hash";--> statement-breakpoint
ALTER TABLE "region_maps" RENAME CONSTRAINT "region_maps_labels_hash_blobs_hash_fk" TO "region_maps_index_hash_blobs_hash_fk";
