CREATE TABLE "swatch_cards" (
	"id" text PRIMARY KEY NOT NULL,
	"tray_id" text NOT NULL,
	"number" integer NOT NULL,
	"paper" text NOT NULL,
	"pencil_ids" jsonb NOT NULL,
	"empty_rows" integer NOT NULL,
	"origin" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "swatch_cards" ADD CONSTRAINT "swatch_cards_tray_id_trays_id_fk" FOREIGN KEY ("tray_id") REFERENCES "public"."trays"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "swatch_cards_tray" ON "swatch_cards" USING btree ("tray_id");