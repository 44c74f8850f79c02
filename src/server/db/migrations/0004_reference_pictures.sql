CREATE TABLE "reference_pictures" (
	"id" text PRIMARY KEY NOT NULL,
	"sheet_id" text NOT NULL,
	"thing_id" text,
	"name" text NOT NULL,
	"hash" text NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"pinned" boolean DEFAULT true NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "reference_pictures" ADD CONSTRAINT "reference_pictures_sheet_id_sheets_id_fk" FOREIGN KEY ("sheet_id") REFERENCES "public"."sheets"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_pictures" ADD CONSTRAINT "reference_pictures_hash_blobs_hash_fk" FOREIGN KEY ("hash") REFERENCES "public"."blobs"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "reference_pictures_sheet" ON "reference_pictures" USING btree ("sheet_id");