ALTER TABLE "sheets" ADD COLUMN "colours_hash" text;--> statement-breakpoint
ALTER TABLE "sheets" ADD COLUMN "scanned_width" integer;--> statement-breakpoint
ALTER TABLE "sheets" ADD CONSTRAINT "sheets_colours_hash_blobs_hash_fk" FOREIGN KEY ("colours_hash") REFERENCES "public"."blobs"("hash") ON DELETE no action ON UPDATE no action;