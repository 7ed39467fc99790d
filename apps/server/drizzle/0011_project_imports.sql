CREATE TABLE "project_imports" (
	"project_id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"stage" text NOT NULL,
	"done" integer DEFAULT 0 NOT NULL,
	"total" integer NOT NULL,
	"owner" text NOT NULL,
	"beat" timestamp with time zone DEFAULT now() NOT NULL,
	"added" jsonb NOT NULL,
	"problem" text
);
--> statement-breakpoint
-- What is taken out of a project that is still coming in was nobody's yet; of every other nothing is taken out.
CREATE FUNCTION is_clearing(project uuid) RETURNS boolean LANGUAGE sql STABLE AS $$
  SELECT EXISTS (SELECT FROM project_imports WHERE project_id = project AND stage = 'clearing')
$$;
--> statement-breakpoint
-- The project that a row belongs to, by the column that leads there.
CREATE FUNCTION project_behind(way text, named uuid) RETURNS uuid LANGUAGE sql STABLE AS $$
  SELECT CASE way
    WHEN 'id' THEN named
    WHEN 'project_id' THEN named
    WHEN 'splice_id' THEN (SELECT project_id FROM splices WHERE id = named)
    WHEN 'closure_id' THEN (SELECT project_id FROM closures WHERE id = named)
    WHEN 'record_id' THEN (SELECT project_id FROM splicer_records WHERE id = named)
    WHEN 'trace_id' THEN (SELECT project_id FROM traces WHERE id = named)
  END
$$;
--> statement-breakpoint
CREATE FUNCTION refuse_delete() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  named uuid;
BEGIN
  EXECUTE format('SELECT ($1).%I', TG_ARGV[0]) INTO named USING OLD;
  IF is_clearing(project_behind(TG_ARGV[0], named)) THEN
    RETURN OLD;
  END IF;
  RAISE EXCEPTION 'Evidence in % is append-only: record a correction instead.', TG_TABLE_NAME;
END $$;
--> statement-breakpoint
-- Into a project that is still coming in only its import writes: it may be taken out again.
CREATE FUNCTION refuse_coming() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  named uuid;
BEGIN
  IF NOT EXISTS (SELECT FROM project_imports WHERE stage <> 'failed') THEN
    RETURN NEW;
  END IF;
  EXECUTE format('SELECT ($1).%I', TG_ARGV[0]) INTO named USING NEW;
  IF EXISTS (SELECT FROM project_imports WHERE project_id = project_behind(TG_ARGV[0], named) AND stage <> 'failed') THEN
    RAISE EXCEPTION 'The project is still coming in.' USING ERRCODE = 'CD003';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
DO $$
DECLARE
  evidence text[];
BEGIN
  FOREACH evidence SLICE 1 IN ARRAY ARRAY[
    ['attempts', 'splice_id'], ['readings', 'splice_id'], ['rulings', 'splice_id'],
    ['splicer_records', 'project_id'], ['set_asides', 'record_id'], ['instrument_log', 'project_id'],
    ['traces', 'project_id'], ['trace_places', 'trace_id'],
    ['closing_entries', 'closure_id'], ['photos', 'closure_id'], ['signed_records', 'closure_id']]
  LOOP
    EXECUTE format('DROP TRIGGER %I ON %I', evidence[1] || '_append_only', evidence[1]);
    EXECUTE format('CREATE TRIGGER %I BEFORE UPDATE OR TRUNCATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()',
      evidence[1] || '_append_only', evidence[1]);
    EXECUTE format('CREATE TRIGGER %I BEFORE DELETE ON %I FOR EACH STATEMENT
      WHEN (current_setting(''cordel.importing'', true) IS DISTINCT FROM ''on'') EXECUTE FUNCTION refuse_change()',
      evidence[1] || '_stay', evidence[1]);
    EXECUTE format('CREATE TRIGGER %I BEFORE DELETE ON %I FOR EACH ROW EXECUTE FUNCTION refuse_delete(%L)',
      evidence[1] || '_each_stay', evidence[1], evidence[2]);
  END LOOP;
  FOREACH evidence SLICE 1 IN ARRAY ARRAY[
    ['attempts', 'splice_id'], ['readings', 'splice_id'], ['rulings', 'splice_id'],
    ['splicer_records', 'project_id'], ['set_asides', 'record_id'], ['instrument_log', 'project_id'],
    ['traces', 'project_id'], ['trace_places', 'trace_id'],
    ['closing_entries', 'closure_id'], ['photos', 'closure_id'], ['signed_records', 'closure_id'],
    ['cables', 'project_id'], ['closures', 'project_id'], ['splices', 'project_id'], ['projects', 'id'],
    ['plans', 'closure_id'], ['assemblies', 'closure_id']]
  LOOP
    EXECUTE format('CREATE TRIGGER %I BEFORE INSERT OR UPDATE ON %I FOR EACH ROW
      WHEN (current_setting(''cordel.importing'', true) IS DISTINCT FROM ''on'') EXECUTE FUNCTION refuse_coming(%L)',
      evidence[1] || '_coming', evidence[1], evidence[2]);
  END LOOP;
END
$$;
--> statement-breakpoint
-- What was found in a trace is no evidence: it may be looked at again.
DROP TRIGGER traces_append_only ON traces;
--> statement-breakpoint
CREATE TRIGGER traces_append_only BEFORE UPDATE ON traces
  FOR EACH ROW EXECUTE FUNCTION refuse_trace_change();
--> statement-breakpoint
CREATE TRIGGER traces_no_truncate BEFORE TRUNCATE ON traces
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
DROP TRIGGER splices_stay_retired ON splices;
--> statement-breakpoint
CREATE TRIGGER splices_stay_retired BEFORE UPDATE OR DELETE ON splices
  FOR EACH ROW WHEN (NOT OLD.live AND NOT is_clearing(OLD.project_id)) EXECUTE FUNCTION refuse_revival();
