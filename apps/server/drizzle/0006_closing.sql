CREATE TABLE "closing_entries" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"closure_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"entry" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "packages" (
	"id" uuid PRIMARY KEY NOT NULL,
	"project_id" uuid NOT NULL,
	"closure_id" uuid,
	"paper" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"state" text NOT NULL,
	"part" text DEFAULT '' NOT NULL,
	"done" integer DEFAULT 0 NOT NULL,
	"total" integer DEFAULT 0 NOT NULL,
	"beat" timestamp with time zone DEFAULT now() NOT NULL,
	"problem" text,
	"size" bigint,
	"digest" text
);
--> statement-breakpoint
CREATE TABLE "photos" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"closure_id" uuid NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"digest" text NOT NULL,
	"bytes" "bytea" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "signed_records" (
	"closure_id" uuid NOT NULL,
	"digest" text NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"content" text NOT NULL,
	CONSTRAINT "signed_records_closure_id_digest_pk" PRIMARY KEY("closure_id","digest")
);
--> statement-breakpoint
ALTER TABLE "projects" ALTER COLUMN "practice" SET DEFAULT '{"tubeTool":"scorer","gel":"at once","trayFiber":10000,"redos":3,"redoEats":400,"redoPercent":5,"arc":{"when":"both","arcs125":300,"arcs400":50,"temperature":10,"humidity":30,"pressure":5,"streak":3,"idleDays":14},"adhesiveWait":60,"workingLength":"mark 30 mm","noTension":null,"dropEnd":"splice-on","leakLimit":100}'::jsonb;--> statement-breakpoint
ALTER TABLE "closures" ADD COLUMN "position" jsonb;--> statement-breakpoint
ALTER TABLE "projects" ADD COLUMN "route" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "closing_entries" ADD CONSTRAINT "closing_entries_closure_id_closures_id_fk" FOREIGN KEY ("closure_id") REFERENCES "public"."closures"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "packages" ADD CONSTRAINT "packages_project_id_projects_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."projects"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "packages" ADD CONSTRAINT "packages_closure_id_closures_id_fk" FOREIGN KEY ("closure_id") REFERENCES "public"."closures"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_closure_id_closures_id_fk" FOREIGN KEY ("closure_id") REFERENCES "public"."closures"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "signed_records" ADD CONSTRAINT "signed_records_closure_id_closures_id_fk" FOREIGN KEY ("closure_id") REFERENCES "public"."closures"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "closing_entries_closure" ON "closing_entries" USING btree ("closure_id","seq");--> statement-breakpoint
CREATE INDEX "packages_project" ON "packages" USING btree ("project_id","at");--> statement-breakpoint
CREATE INDEX "photos_closure" ON "photos" USING btree ("closure_id","seq");--> statement-breakpoint
CREATE INDEX "attempts_seq" ON "attempts" USING btree ("seq");--> statement-breakpoint
CREATE INDEX "readings_seq" ON "readings" USING btree ("seq");--> statement-breakpoint
CREATE INDEX "rulings_seq" ON "rulings" USING btree ("seq");--> statement-breakpoint
-- What was done, photographed and signed is evidence: appended, never changed.
CREATE TRIGGER closing_entries_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON closing_entries
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER photos_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON photos
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER signed_records_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON signed_records
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
