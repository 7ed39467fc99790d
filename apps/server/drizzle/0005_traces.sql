CREATE TABLE "standin_joints" (
	"record_id" uuid PRIMARY KEY NOT NULL,
	"truth" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "trace_figures" (
	"trace_id" uuid PRIMARY KEY NOT NULL,
	"key" text NOT NULL,
	"figures" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "trace_places" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"trace_id" uuid NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"cable_id" uuid,
	"fiber" integer,
	"direction" text,
	"wavelength_nm" integer,
	"why" text
);
--> statement-breakpoint
CREATE TABLE "traces" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"project_id" uuid NOT NULL,
	"name" text NOT NULL,
	"digest" text NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	"bytes" "bytea" NOT NULL,
	"facts" jsonb NOT NULL,
	"found" jsonb NOT NULL,
	CONSTRAINT "traces_content" UNIQUE("project_id","digest")
);
--> statement-breakpoint
ALTER TABLE "cables" ADD COLUMN "run" jsonb DEFAULT '{"helix":10050,"marks":[],"end":null}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "projects" ADD COLUMN "budget" jsonb DEFAULT '{"glass":[{"wavelengthNm":1310,"usual":340,"spread":10,"most":400},{"wavelengthNm":1550,"usual":200,"spread":8,"most":300},{"wavelengthNm":1625,"usual":230,"spread":12,"most":400}],"splice":{"usual":40,"spread":30,"most":300},"connector":{"usual":250,"spread":120,"most":750},"connectors":2,"most":null}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "trace_id" uuid;--> statement-breakpoint
ALTER TABLE "standin_joints" ADD CONSTRAINT "standin_joints_record_id_splicer_records_id_fk" FOREIGN KEY ("record_id") REFERENCES "public"."splicer_records"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trace_figures" ADD CONSTRAINT "trace_figures_trace_id_traces_id_fk" FOREIGN KEY ("trace_id") REFERENCES "public"."traces"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trace_places" ADD CONSTRAINT "trace_places_trace_id_traces_id_fk" FOREIGN KEY ("trace_id") REFERENCES "public"."traces"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trace_places" ADD CONSTRAINT "trace_places_cable_id_cables_id_fk" FOREIGN KEY ("cable_id") REFERENCES "public"."cables"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "traces" ADD CONSTRAINT "traces_project_id_projects_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."projects"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "trace_places_trace" ON "trace_places" USING btree ("trace_id");--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_trace_id_traces_id_fk" FOREIGN KEY ("trace_id") REFERENCES "public"."traces"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
-- Trace files and where they belong are evidence: appended, never changed. What was found in a file is not.
CREATE FUNCTION refuse_trace_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'UPDATE' AND (NEW.id, NEW.project_id, NEW.name, NEW.digest, NEW.bytes)
    IS NOT DISTINCT FROM (OLD.id, OLD.project_id, OLD.name, OLD.digest, OLD.bytes) THEN
    RETURN NEW;
  END IF;
  RAISE EXCEPTION 'Evidence in % is append-only: record a correction instead.', TG_TABLE_NAME;
END $$;
--> statement-breakpoint
CREATE TRIGGER traces_append_only BEFORE UPDATE OR DELETE ON traces
  FOR EACH ROW EXECUTE FUNCTION refuse_trace_change();
--> statement-breakpoint
CREATE TRIGGER trace_places_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON trace_places
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
