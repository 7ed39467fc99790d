-- Where a figure comes from follows from what it names and says together: a splicer's record has its estimate at that
-- place of the holder; what a trace measures is put in by the server itself. Anything else was typed, and what was
-- simulated stays so.
CREATE FUNCTION origin_of_estimate(record_id uuid, place int, estimate int, claimed text) RETURNS text LANGUAGE sql STABLE AS $$
  SELECT coalesce(
    (SELECT CASE
        WHEN claimed = 'simulated' OR r.origin = 'simulated' THEN 'simulated'
        WHEN estimate IS NULL OR EXISTS (
          SELECT FROM jsonb_array_elements(r.record->'fibers') f
          WHERE (f->>'position')::int = place AND round((f->>'estimateMdb')::numeric) = estimate) THEN r.origin
        ELSE 'typed' END
      FROM splicer_records r WHERE r.id = record_id),
    CASE WHEN claimed = 'simulated' THEN 'simulated' ELSE 'typed' END)
$$;
--> statement-breakpoint
CREATE FUNCTION origin_of_loss(trace_id uuid, claimed text, measured bool) RETURNS text LANGUAGE sql STABLE AS $$
  SELECT coalesce(
    (SELECT CASE WHEN claimed = 'simulated' OR t.origin = 'simulated' THEN 'simulated'
        WHEN measured THEN t.origin ELSE 'typed' END
      FROM traces t WHERE t.id = trace_id),
    CASE WHEN claimed = 'simulated' THEN 'simulated' ELSE 'typed' END)
$$;
--> statement-breakpoint
CREATE OR REPLACE FUNCTION append_attempts(entries jsonb) RETURNS int LANGUAGE plpgsql AS $$
DECLARE
  fresh_count int;
BEGIN
  WITH fresh AS (
    INSERT INTO attempts (seq, id, splice_id, by, at, try_id, estimate_mdb, record_id, record_position, origin, supersedes, void, why)
    SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "estimateMdb", "recordId", "recordPosition",
      origin_of_estimate("recordId", "recordPosition", "estimateMdb", "origin"),
      "supersedes", "void", "why"
    FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid, "estimateMdb" int, "recordId" uuid,
      "recordPosition" int, "origin" text, "supersedes" uuid, "void" bool, "why" text)
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
CREATE OR REPLACE FUNCTION insert_attempts(entries jsonb) RETURNS void LANGUAGE sql AS $$
  INSERT INTO attempts (seq, id, splice_id, by, at, try_id, estimate_mdb, record_id, record_position, origin, supersedes, void, why)
  SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "estimateMdb", "recordId", "recordPosition",
      origin_of_estimate("recordId", "recordPosition", "estimateMdb", "origin"),
      "supersedes", "void", "why"
  FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid, "estimateMdb" int, "recordId" uuid,
      "recordPosition" int, "origin" text, "supersedes" uuid, "void" bool, "why" text)
$$;
--> statement-breakpoint
CREATE OR REPLACE FUNCTION append_readings(entries jsonb) RETURNS int LANGUAGE plpgsql AS $$
DECLARE
  fresh_count int;
BEGIN
  WITH fresh AS (
    INSERT INTO readings (seq, id, splice_id, by, at, try_id, grade, direction, wavelength_nm, loss_mdb, trace_id, origin, supersedes, void, why)
    SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "grade", "direction", "wavelengthNm", "lossMdb", "traceId",
      origin_of_loss("traceId", "origin", coalesce("measured", false)),
      "supersedes", "void", "why"
    FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid, "grade" text, "direction" text,
      "wavelengthNm" int, "lossMdb" int, "traceId" uuid, "origin" text, "supersedes" uuid, "void" bool, "why" text, "measured" bool)
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
CREATE OR REPLACE FUNCTION insert_readings(entries jsonb) RETURNS void LANGUAGE sql AS $$
  INSERT INTO readings (seq, id, splice_id, by, at, try_id, grade, direction, wavelength_nm, loss_mdb, trace_id, origin, supersedes, void, why)
  SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "grade", "direction", "wavelengthNm", "lossMdb", "traceId",
      origin_of_loss("traceId", "origin", "origin" = 'instrument'),
      "supersedes", "void", "why"
  FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid, "grade" text, "direction" text,
      "wavelengthNm" int, "lossMdb" int, "traceId" uuid, "origin" text, "supersedes" uuid, "void" bool, "why" text)
$$;
