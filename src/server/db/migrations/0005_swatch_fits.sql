CREATE TABLE "tray_fits" (
	"tray_id" text NOT NULL,
	"paper" text NOT NULL,
	"content" jsonb NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "tray_fits_tray_id_paper_pk" PRIMARY KEY("tray_id","paper")
);
--> statement-breakpoint
ALTER TABLE "swatches" ADD COLUMN "over" text;--> statement-breakpoint
ALTER TABLE "tray_fits" ADD CONSTRAINT "tray_fits_tray_id_trays_id_fk" FOREIGN KEY ("tray_id") REFERENCES "public"."trays"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "swatches" ADD CONSTRAINT "swatches_over_pencils_id_fk" FOREIGN KEY ("over") REFERENCES "public"."pencils"("id") ON DELETE no action ON UPDATE no action;