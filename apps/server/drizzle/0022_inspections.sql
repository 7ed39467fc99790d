-- What was seen of ends is evidence like any other: appended, never changed, told to who asks for changes.
CREATE FUNCTION append_inspections(entries jsonb) RETURNS int LANGUAGE plpgsql AS $$
DECLARE
  fresh_count int;
BEGIN
  WITH fresh AS (
    INSERT INTO inspections (seq, id, splice_id, by, at, try_id, face, light, origin, supersedes, void, why)
    SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "face", "light",
      CASE WHEN "origin" = 'simulated' THEN 'simulated' ELSE 'typed' END, "supersedes", "void", "why"
    FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid,
      "face" text, "light" text, "origin" text, "supersedes" uuid, "void" bool, "why" text)
    ON CONFLICT (id) DO NOTHING RETURNING splice_id),
  marked AS (
    INSERT INTO stale_splices (splice_id, project_id)
    SELECT DISTINCT s.id, s.project_id FROM fresh JOIN splices s ON s.id = fresh.splice_id
    -- The update takes the row's lock, in the order of ids: judging and recording wait for each other.
    ORDER BY s.id
    ON CONFLICT (splice_id) DO UPDATE SET project_id = excluded.project_id)
  SELECT count(*)::int INTO fresh_count FROM fresh;
  RETURN fresh_count;
END $$;
--> statement-breakpoint
CREATE FUNCTION insert_inspections(entries jsonb) RETURNS void LANGUAGE sql AS $$
  INSERT INTO inspections (seq, id, splice_id, by, at, try_id, face, light, origin, supersedes, void, why)
  SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "face", "light",
    CASE WHEN "origin" = 'simulated' THEN 'simulated' ELSE 'typed' END, "supersedes", "void", "why"
  FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid,
    "face" text, "light" text, "origin" text, "supersedes" uuid, "void" bool, "why" text)
$$;
--> statement-breakpoint
CREATE TRIGGER inspections_append_only BEFORE UPDATE OR TRUNCATE ON inspections
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER inspections_stay BEFORE DELETE ON inspections FOR EACH STATEMENT
  WHEN (current_setting('cordel.importing', true) IS DISTINCT FROM 'on') EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER inspections_each_stay BEFORE DELETE ON inspections FOR EACH ROW EXECUTE FUNCTION refuse_delete('splice_id');
--> statement-breakpoint
CREATE TRIGGER inspections_coming BEFORE INSERT OR UPDATE ON inspections FOR EACH ROW
  WHEN (current_setting('cordel.importing', true) IS DISTINCT FROM 'on') EXECUTE FUNCTION refuse_coming('splice_id');
--> statement-breakpoint
CREATE OR REPLACE FUNCTION refuse_simulated() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  practice boolean;
BEGIN
  IF TG_TABLE_NAME IN ('attempts', 'readings', 'inspections') THEN
    SELECT p.practice_only INTO practice FROM projects p JOIN splices s ON s.project_id = p.id WHERE s.id = NEW.splice_id;
  ELSIF TG_TABLE_NAME = 'closing_entries' THEN
    SELECT p.practice_only INTO practice FROM projects p JOIN closures c ON c.project_id = p.id WHERE c.id = NEW.closure_id;
  ELSE
    SELECT p.practice_only INTO practice FROM projects p WHERE p.id = NEW.project_id;
  END IF;
  IF NOT practice THEN
    RAISE EXCEPTION 'what was simulated is recorded in practice projects only' USING ERRCODE = 'CD001';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER inspections_simulated BEFORE INSERT ON inspections
  FOR EACH ROW WHEN (NEW.origin = 'simulated') EXECUTE FUNCTION refuse_simulated();
--> statement-breakpoint
CREATE FUNCTION inspections_noted_i() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  told bigint;
BEGIN
  IF current_setting('cordel.importing', true) = 'on' THEN
    RETURN NULL;
  END IF;
  WITH noted AS (
    INSERT INTO changes (project_id, kind, key)
    SELECT (SELECT s.project_id FROM splices s WHERE s.id = r.splice_id), 'evidence', r.id::text FROM moved r
    GROUP BY 1, 3 ORDER BY min(r.seq) RETURNING project_id)
  SELECT count(pg_notify('cordel_changes', coalesce(project_id::text, ''))) INTO told FROM (SELECT DISTINCT project_id FROM noted) n;
  RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER inspections_noted_i AFTER INSERT ON inspections REFERENCING NEW TABLE AS moved
  FOR EACH STATEMENT EXECUTE FUNCTION inspections_noted_i();
--> statement-breakpoint
CREATE OR REPLACE FUNCTION keep_practice_mark() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF EXISTS (SELECT FROM splicer_records r WHERE r.project_id = OLD.id AND r.origin = 'simulated')
    OR EXISTS (SELECT FROM traces t WHERE t.project_id = OLD.id AND t.origin = 'simulated')
    OR EXISTS (SELECT FROM instrument_log l WHERE l.project_id = OLD.id AND l.entry ->> 'origin' = 'simulated')
    OR EXISTS (SELECT FROM closing_entries e JOIN closures c ON c.id = e.closure_id
      WHERE c.project_id = OLD.id AND e.entry ->> 'origin' = 'simulated')
    OR EXISTS (SELECT FROM attempts a JOIN splices s ON s.id = a.splice_id
      WHERE s.project_id = OLD.id AND a.origin = 'simulated')
    OR EXISTS (SELECT FROM readings a JOIN splices s ON s.id = a.splice_id
      WHERE s.project_id = OLD.id AND a.origin = 'simulated')
    OR EXISTS (SELECT FROM inspections a JOIN splices s ON s.id = a.splice_id
      WHERE s.project_id = OLD.id AND a.origin = 'simulated')
  THEN
    RAISE EXCEPTION 'a project with simulated figures stays a practice project' USING ERRCODE = 'CD002';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
-- Limits of ends are new: those that ship.
UPDATE projects SET limits = jsonb_set(limits, '{ends}', '{"mechanical": 500, "fused": 750}') WHERE NOT limits ? 'ends';
