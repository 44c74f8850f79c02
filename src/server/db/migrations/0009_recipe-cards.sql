CREATE TABLE "recipe_cards" (
	"id" text PRIMARY KEY NOT NULL,
	"content" jsonb NOT NULL,
	"origin" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
