CREATE TABLE "link_entries" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"project_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"entry" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "inspections" ADD COLUMN "marks" jsonb;--> statement-breakpoint
ALTER TABLE "inspections" ADD COLUMN "cleanings" integer;--> statement-breakpoint
ALTER TABLE "inspections" ADD COLUMN "photo_id" uuid;--> statement-breakpoint
ALTER TABLE "trace_places" ADD COLUMN "stage" text;--> statement-breakpoint
ALTER TABLE "link_entries" ADD CONSTRAINT "link_entries_project_id_projects_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."projects"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "link_entries_project" ON "link_entries" USING btree ("project_id","seq");
--> statement-breakpoint
-- What more is seen of an end: marks by zone, a picture, how often it was cleaned.
CREATE OR REPLACE FUNCTION append_inspections(entries jsonb) RETURNS int LANGUAGE plpgsql AS $$
DECLARE
  fresh_count int;
BEGIN
  WITH fresh AS (
    INSERT INTO inspections (seq, id, splice_id, by, at, try_id, face, light, marks, cleanings, photo_id, origin, supersedes, void, why)
    SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "face", "light", "marks", "cleanings", "photoId",
      CASE WHEN "origin" = 'simulated' THEN 'simulated' ELSE 'typed' END, "supersedes", "void", "why"
    FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid,
      "face" text, "light" text, "marks" jsonb, "cleanings" int, "photoId" uuid, "origin" text, "supersedes" uuid, "void" bool, "why" text)
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
CREATE OR REPLACE FUNCTION insert_inspections(entries jsonb) RETURNS void LANGUAGE sql AS $$
  INSERT INTO inspections (seq, id, splice_id, by, at, try_id, face, light, marks, cleanings, photo_id, origin, supersedes, void, why)
  SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "face", "light", "marks", "cleanings", "photoId",
    CASE WHEN "origin" = 'simulated' THEN 'simulated' ELSE 'typed' END, "supersedes", "void", "why"
  FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid,
    "face" text, "light" text, "marks" jsonb, "cleanings" int, "photoId" uuid, "origin" text, "supersedes" uuid, "void" bool, "why" text)
$$;
--> statement-breakpoint
-- What meters tell of links is evidence like any other: appended, never changed, told to who asks for changes.
CREATE TRIGGER link_entries_append_only BEFORE UPDATE OR TRUNCATE ON link_entries
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER link_entries_stay BEFORE DELETE ON link_entries FOR EACH STATEMENT
  WHEN (current_setting('cordel.importing', true) IS DISTINCT FROM 'on') EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER link_entries_each_stay BEFORE DELETE ON link_entries FOR EACH ROW EXECUTE FUNCTION refuse_delete('project_id');
--> statement-breakpoint
CREATE TRIGGER link_entries_coming BEFORE INSERT OR UPDATE ON link_entries FOR EACH ROW
  WHEN (current_setting('cordel.importing', true) IS DISTINCT FROM 'on') EXECUTE FUNCTION refuse_coming('project_id');
--> statement-breakpoint
CREATE TRIGGER link_entries_simulated BEFORE INSERT ON link_entries
  FOR EACH ROW WHEN (NEW.entry ->> 'origin' = 'simulated') EXECUTE FUNCTION refuse_simulated();
--> statement-breakpoint
CREATE FUNCTION link_entries_noted_i() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  told bigint;
BEGIN
  IF current_setting('cordel.importing', true) = 'on' THEN
    RETURN NULL;
  END IF;
  WITH noted AS (
    INSERT INTO changes (project_id, kind, key)
    SELECT r.project_id, 'link', r.id::text FROM moved r
    GROUP BY 1, 3 ORDER BY min(r.seq) RETURNING project_id)
  SELECT count(pg_notify('cordel_changes', coalesce(project_id::text, ''))) INTO told FROM (SELECT DISTINCT project_id FROM noted) n;
  RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER link_entries_noted_i AFTER INSERT ON link_entries REFERENCING NEW TABLE AS moved
  FOR EACH STATEMENT EXECUTE FUNCTION link_entries_noted_i();
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
    OR EXISTS (SELECT FROM link_entries l WHERE l.project_id = OLD.id AND l.entry ->> 'origin' = 'simulated')
    OR EXISTS (SELECT FROM inspections a JOIN splices s ON s.id = a.splice_id
      WHERE s.project_id = OLD.id AND a.origin = 'simulated')
  THEN
    RAISE EXCEPTION 'a project with simulated figures stays a practice project' USING ERRCODE = 'CD002';
  END IF;
  RETURN NEW;
END $$;
