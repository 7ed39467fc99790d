CREATE TABLE "instrument_log" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"project_id" uuid NOT NULL,
	"instrument_id" text NOT NULL,
	"entry" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "instruments" (
	"id" text PRIMARY KEY NOT NULL,
	"record" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "set_asides" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"record_id" uuid NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"why" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "splicer_records" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"project_id" uuid NOT NULL,
	"splicer_id" text NOT NULL,
	"number" integer NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	"record" jsonb NOT NULL,
	CONSTRAINT "splicer_records_run" UNIQUE("project_id","splicer_id","number","at")
);
--> statement-breakpoint
CREATE TABLE "standins" (
	"splicer_id" text PRIMARY KEY NOT NULL,
	"state" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "projects" ALTER COLUMN "practice" SET DEFAULT '{"tubeTool":"scorer","gel":"at once","trayFiber":10000,"redos":3,"redoEats":400,"redoPercent":5,"arc":{"when":"both","arcs125":300,"arcs400":50,"temperature":10,"humidity":30,"pressure":5,"streak":3,"idleDays":14},"adhesiveWait":60,"workingLength":"mark 30 mm","noTension":null,"dropEnd":"splice-on"}'::jsonb;--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "record_id" uuid;--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "record_position" smallint;--> statement-breakpoint
ALTER TABLE "cables" ADD COLUMN "glass" jsonb DEFAULT '{"type":"G.652.D","mfd":null,"coating":250}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "instrument_log" ADD CONSTRAINT "instrument_log_project_id_projects_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."projects"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "set_asides" ADD CONSTRAINT "set_asides_record_id_splicer_records_id_fk" FOREIGN KEY ("record_id") REFERENCES "public"."splicer_records"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "splicer_records" ADD CONSTRAINT "splicer_records_project_id_projects_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."projects"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "instrument_log_project" ON "instrument_log" USING btree ("project_id","seq");--> statement-breakpoint
CREATE INDEX "splicer_records_seq" ON "splicer_records" USING btree ("project_id","seq");--> statement-breakpoint
ALTER TABLE "attempts" ADD CONSTRAINT "attempts_record_id_splicer_records_id_fk" FOREIGN KEY ("record_id") REFERENCES "public"."splicer_records"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "attempts_record" ON "attempts" USING btree ("record_id") WHERE "attempts"."record_id" is not null;--> statement-breakpoint
-- What splicers recorded and what was done to instruments is evidence: appended, never changed.
CREATE TRIGGER splicer_records_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON splicer_records
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER set_asides_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON set_asides
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER instrument_log_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON instrument_log
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
