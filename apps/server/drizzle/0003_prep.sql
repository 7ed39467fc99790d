CREATE TABLE "assemblies" (
	"closure_id" uuid PRIMARY KEY NOT NULL,
	"hardware_id" text,
	"reach" integer NOT NULL,
	"entries" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "hardware" (
	"id" text PRIMARY KEY NOT NULL,
	"record" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "projects" ADD COLUMN "practice" jsonb DEFAULT '{"tubeTool":"scorer","gel":"at once","trayFiber":10000,"redos":3,"redoEats":400,"redoPercent":5}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "assemblies" ADD CONSTRAINT "assemblies_closure_id_closures_id_fk" FOREIGN KEY ("closure_id") REFERENCES "public"."closures"("id") ON DELETE no action ON UPDATE no action;