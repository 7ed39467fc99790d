CREATE TABLE "plans" (
	"closure_id" uuid PRIMARY KEY NOT NULL,
	"text" text NOT NULL,
	"pins" jsonb NOT NULL,
	"spare" integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE "plans" ADD CONSTRAINT "plans_closure_id_closures_id_fk" FOREIGN KEY ("closure_id") REFERENCES "public"."closures"("id") ON DELETE no action ON UPDATE no action;