CREATE TABLE "changes" (
	"xact" "xid8" DEFAULT pg_current_xact_id() NOT NULL,
	"seq" bigserial NOT NULL,
	"project_id" uuid,
	"kind" text NOT NULL,
	"key" text NOT NULL,
	CONSTRAINT "changes_xact_seq_pk" PRIMARY KEY("xact","seq")
);
--> statement-breakpoint
-- Whoever asked for the pulse asks for changes now.
DO $$
DECLARE
  evidence text;
BEGIN
  FOREACH evidence IN ARRAY ARRAY['attempts', 'readings', 'rulings', 'splicer_records', 'set_asides', 'instrument_log',
    'traces', 'trace_places', 'closing_entries', 'photos', 'signed_records']
  LOOP
    EXECUTE format('DROP TRIGGER %I ON %I', evidence || '_under_way', evidence);
  END LOOP;
END
$$;
--> statement-breakpoint
DROP FUNCTION be_under_way();
--> statement-breakpoint
-- A table, what its rows are called among changes, the project and the name of a row r, after what (I for
-- insert, U for update, D for delete), and their order. What comes in with a project is no change of it.
DO $$
DECLARE
  noted text[];
  op text;
  moved text;
  named text;
  -- Looked up row by row: a join would keep the plan of its first time, when the tables were all but empty.
  of_splice text := '(SELECT s.project_id FROM splices s WHERE s.id = r.splice_id)';
  of_closure text := '(SELECT c.project_id FROM closures c WHERE c.id = r.closure_id)';
BEGIN
  FOREACH noted SLICE 1 IN ARRAY ARRAY[
    ['attempts', 'evidence', of_splice, 'r.id', 'I', 'min(r.seq)'],
    ['readings', 'evidence', of_splice, 'r.id', 'I', 'min(r.seq)'],
    ['rulings', 'evidence', of_splice, 'r.id', 'I', 'min(r.seq)'],
    ['splicer_records', 'splicer-record', 'r.project_id', 'r.id', 'I', 'min(r.seq)'],
    ['set_asides', 'set-aside', '(SELECT p.project_id FROM splicer_records p WHERE p.id = r.record_id)', 'r.id', 'I', 'min(r.seq)'],
    ['instrument_log', 'instrument-log', 'r.project_id', 'r.id', 'I', 'min(r.seq)'],
    ['traces', 'trace', 'r.project_id', 'r.id', 'I', 'min(r.seq)'],
    ['trace_places', 'trace-place', '(SELECT t.project_id FROM traces t WHERE t.id = r.trace_id)', 'r.trace_id', 'I', 'min(r.seq)'],
    ['closing_entries', 'closing', of_closure, 'r.id', 'I', 'min(r.seq)'],
    ['photos', 'photo', of_closure, 'r.closure_id', 'I', 'min(r.seq)'],
    ['signed_records', 'signed', of_closure, 'r.closure_id', 'I', 'min(r.seq)'],
    ['projects', 'project', 'r.id', 'r.id', 'IUD', '1'],
    ['cables', 'cable', 'r.project_id', 'r.id', 'IUD', '1'],
    ['closures', 'closure', 'r.project_id', 'r.id', 'IUD', '1'],
    ['splices', 'splices', 'r.project_id', 'r.closure_id', 'ID', '1'],
    ['plans', 'plan', of_closure, 'r.closure_id', 'IUD', '1'],
    ['assemblies', 'assembly', of_closure, 'r.closure_id', 'IUD', '1'],
    ['schemes', 'scheme', 'NULL::uuid', 'r.id', 'IUD', '1'],
    ['hardware', 'hardware', 'NULL::uuid', 'r.id', 'IUD', '1'],
    ['instruments', 'instrument', 'NULL::uuid', 'r.id', 'IUD', '1'],
    ['archives', 'archive', 'NULL::uuid', 'r.id', 'ID', '1'],
    ['packages', 'package', 'r.project_id', 'r.id', 'I', '1']]
  LOOP
    FOREACH op IN ARRAY string_to_array(noted[5], NULL)
    LOOP
      named := noted[1] || '_noted_' || lower(op);
      moved := CASE op WHEN 'D' THEN 'OLD' ELSE 'NEW' END;
      EXECUTE format($f$
        CREATE FUNCTION %I() RETURNS trigger LANGUAGE plpgsql AS $b$
        DECLARE
          told bigint;
        BEGIN
          IF current_setting('cordel.importing', true) = 'on' THEN
            RETURN NULL;
          END IF;
          WITH noted AS (
            INSERT INTO changes (project_id, kind, key)
            SELECT %s, %L, %s::text FROM moved r GROUP BY 1, 3 ORDER BY %s RETURNING project_id)
          SELECT count(pg_notify('cordel_changes', coalesce(project_id::text, ''))) INTO told FROM (SELECT DISTINCT project_id FROM noted) n;
          RETURN NULL;
        END
        $b$ $f$, named, noted[3], noted[2], noted[4], noted[6]);
      EXECUTE format('CREATE TRIGGER %I AFTER %s ON %I REFERENCING %s TABLE AS moved FOR EACH STATEMENT EXECUTE FUNCTION %I()',
        named, CASE op WHEN 'I' THEN 'INSERT' WHEN 'U' THEN 'UPDATE' ELSE 'DELETE' END, noted[1], moved, named);
    END LOOP;
  END LOOP;
END
$$;
