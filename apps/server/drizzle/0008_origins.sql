-- Where each figure comes from. What was there before was typed, or came from an instrument; what a simulator
-- made is told below.
ALTER TABLE "projects" ADD COLUMN "practice_only" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "splices" ADD COLUMN "origin" text;--> statement-breakpoint
ALTER TABLE "splices" ADD COLUMN "made_by" text;--> statement-breakpoint
ALTER TABLE "splices" ADD COLUMN "made_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "splices" ADD COLUMN "ruling" jsonb;--> statement-breakpoint
ALTER TABLE "splices" ADD COLUMN "figures" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "attempts" ADD COLUMN "origin" text DEFAULT 'typed' NOT NULL;--> statement-breakpoint
ALTER TABLE "attempts" ALTER COLUMN "origin" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "origin" text DEFAULT 'typed' NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ALTER COLUMN "origin" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "splicer_records" ADD COLUMN "origin" text DEFAULT 'instrument' NOT NULL;--> statement-breakpoint
ALTER TABLE "splicer_records" ALTER COLUMN "origin" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "traces" ADD COLUMN "origin" text DEFAULT 'instrument' NOT NULL;--> statement-breakpoint
ALTER TABLE "traces" ALTER COLUMN "origin" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE attempts DISABLE TRIGGER attempts_append_only;--> statement-breakpoint
ALTER TABLE readings DISABLE TRIGGER readings_append_only;--> statement-breakpoint
ALTER TABLE splicer_records DISABLE TRIGGER splicer_records_append_only;--> statement-breakpoint
ALTER TABLE traces DISABLE TRIGGER traces_append_only;--> statement-breakpoint
ALTER TABLE instrument_log DISABLE TRIGGER instrument_log_append_only;--> statement-breakpoint
ALTER TABLE closing_entries DISABLE TRIGGER closing_entries_append_only;--> statement-breakpoint
UPDATE splicer_records SET origin = 'simulated' WHERE id IN (SELECT record_id FROM standin_joints);--> statement-breakpoint
UPDATE splicer_records SET record = record || jsonb_build_object('origin', origin);--> statement-breakpoint
UPDATE attempts a SET origin = r.origin FROM splicer_records r WHERE r.id = a.record_id;--> statement-breakpoint
UPDATE traces SET origin = 'simulated'
WHERE position('Stand-in'::bytea IN bytes) > 0 AND position('Simulated'::bytea IN bytes) > 0;--> statement-breakpoint
UPDATE readings e SET origin = t.origin FROM traces t WHERE t.id = e.trace_id;--> statement-breakpoint
UPDATE instrument_log SET entry = entry || '{"origin": "typed"}' WHERE entry ->> 'kind' = 'arc check';--> statement-breakpoint
UPDATE closing_entries SET entry = (entry - 'simulated') || jsonb_build_object('minute', null, 'origin',
  CASE WHEN (entry ->> 'simulated')::boolean THEN 'simulated' ELSE 'typed' END) WHERE kind = 'gauge';--> statement-breakpoint
-- An empty list after a mark was a mark taken back as often as “no bubbles”: it proves nothing.
UPDATE closing_entries b SET entry = b.entry || jsonb_build_object(
  'places', CASE WHEN jsonb_array_length(b.entry -> 'places') > 0 THEN b.entry -> 'places' ELSE '["everywhere"]'::jsonb END,
  'seen', CASE
    WHEN jsonb_array_length(b.entry -> 'places') > 0 THEN 'bubbles'
    WHEN EXISTS (SELECT FROM closing_entries o WHERE o.kind = 'bubbles' AND o.seq < b.seq
      AND o.entry ->> 'roundId' = b.entry ->> 'roundId' AND jsonb_array_length(o.entry -> 'places') > 0
      AND o.entry -> 'places' <> '["everywhere"]'::jsonb) THEN 'not checked'
    ELSE 'none' END)
WHERE kind = 'bubbles';--> statement-breakpoint
UPDATE projects p SET practice_only = true WHERE
  EXISTS (SELECT FROM splicer_records r WHERE r.project_id = p.id AND r.origin = 'simulated')
  OR EXISTS (SELECT FROM traces t WHERE t.project_id = p.id AND t.origin = 'simulated')
  OR EXISTS (SELECT FROM closing_entries e JOIN closures c ON c.id = e.closure_id
    WHERE c.project_id = p.id AND e.entry ->> 'origin' = 'simulated');--> statement-breakpoint
ALTER TABLE attempts ENABLE TRIGGER attempts_append_only;--> statement-breakpoint
ALTER TABLE readings ENABLE TRIGGER readings_append_only;--> statement-breakpoint
ALTER TABLE splicer_records ENABLE TRIGGER splicer_records_append_only;--> statement-breakpoint
ALTER TABLE traces ENABLE TRIGGER traces_append_only;--> statement-breakpoint
ALTER TABLE instrument_log ENABLE TRIGGER instrument_log_append_only;--> statement-breakpoint
ALTER TABLE closing_entries ENABLE TRIGGER closing_entries_append_only;--> statement-breakpoint
-- Splices have states and derived columns of their own now: whatever has evidence is judged anew.
INSERT INTO stale_splices (splice_id, project_id)
SELECT s.id, s.project_id FROM splices s WHERE
  EXISTS (SELECT FROM attempts e WHERE e.splice_id = s.id) OR EXISTS (SELECT FROM readings e WHERE e.splice_id = s.id)
  OR EXISTS (SELECT FROM rulings e WHERE e.splice_id = s.id)
ON CONFLICT (splice_id) DO NOTHING;--> statement-breakpoint
CREATE INDEX "attempts_simulated" ON "attempts" ("splice_id") WHERE "origin" = 'simulated';--> statement-breakpoint
CREATE INDEX "readings_simulated" ON "readings" ("splice_id") WHERE "origin" = 'simulated';--> statement-breakpoint
-- What a simulator made lives in practice projects only.
CREATE FUNCTION refuse_simulated() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  practice boolean;
BEGIN
  IF TG_TABLE_NAME IN ('attempts', 'readings') THEN
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
CREATE TRIGGER attempts_simulated BEFORE INSERT ON attempts
  FOR EACH ROW WHEN (NEW.origin = 'simulated') EXECUTE FUNCTION refuse_simulated();--> statement-breakpoint
CREATE TRIGGER readings_simulated BEFORE INSERT ON readings
  FOR EACH ROW WHEN (NEW.origin = 'simulated') EXECUTE FUNCTION refuse_simulated();--> statement-breakpoint
CREATE TRIGGER splicer_records_simulated BEFORE INSERT ON splicer_records
  FOR EACH ROW WHEN (NEW.origin = 'simulated') EXECUTE FUNCTION refuse_simulated();--> statement-breakpoint
CREATE TRIGGER traces_simulated BEFORE INSERT ON traces
  FOR EACH ROW WHEN (NEW.origin = 'simulated') EXECUTE FUNCTION refuse_simulated();--> statement-breakpoint
CREATE TRIGGER instrument_log_simulated BEFORE INSERT ON instrument_log
  FOR EACH ROW WHEN (NEW.entry ->> 'origin' = 'simulated') EXECUTE FUNCTION refuse_simulated();--> statement-breakpoint
CREATE TRIGGER closing_entries_simulated BEFORE INSERT ON closing_entries
  FOR EACH ROW WHEN (NEW.entry ->> 'origin' = 'simulated') EXECUTE FUNCTION refuse_simulated();--> statement-breakpoint
CREATE FUNCTION keep_practice_mark() RETURNS trigger LANGUAGE plpgsql AS $$
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
  THEN
    RAISE EXCEPTION 'a project with simulated figures stays a practice project' USING ERRCODE = 'CD002';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER projects_practice_mark BEFORE UPDATE ON projects
  FOR EACH ROW WHEN (OLD.practice_only AND NOT NEW.practice_only) EXECUTE FUNCTION keep_practice_mark();
