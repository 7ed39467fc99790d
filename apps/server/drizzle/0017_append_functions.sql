-- Appends evidence of one kind and marks its splices stale. Gives how many entries were new. As functions they are
-- planned once a connection: planning took as long as the work. What an entry is made of is read from its JSON; a
-- figure without a record or trace was typed, unless whoever sends it says that it is simulated.
CREATE FUNCTION append_attempts(entries jsonb) RETURNS int LANGUAGE plpgsql AS $$
DECLARE
  fresh_count int;
BEGIN
  WITH fresh AS (
    INSERT INTO attempts (seq, id, splice_id, by, at, try_id, estimate_mdb, record_id, record_position, origin, supersedes, void, why)
    SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "estimateMdb", "recordId", "recordPosition",
      coalesce((SELECT r.origin FROM splicer_records r WHERE r.id = "recordId"), CASE WHEN "origin" = 'simulated' THEN 'simulated' ELSE 'typed' END),
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
CREATE FUNCTION append_readings(entries jsonb) RETURNS int LANGUAGE plpgsql AS $$
DECLARE
  fresh_count int;
BEGIN
  WITH fresh AS (
    INSERT INTO readings (seq, id, splice_id, by, at, try_id, grade, direction, wavelength_nm, loss_mdb, trace_id, origin, supersedes, void, why)
    SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "grade", "direction", "wavelengthNm", "lossMdb", "traceId",
      coalesce((SELECT t.origin FROM traces t WHERE t.id = "traceId"), CASE WHEN "origin" = 'simulated' THEN 'simulated' ELSE 'typed' END),
      "supersedes", "void", "why"
    FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid, "grade" text, "direction" text,
      "wavelengthNm" int, "lossMdb" int, "traceId" uuid, "origin" text, "supersedes" uuid, "void" bool, "why" text)
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
CREATE FUNCTION append_rulings(entries jsonb) RETURNS int LANGUAGE plpgsql AS $$
DECLARE
  fresh_count int;
BEGIN
  WITH fresh AS (
    INSERT INTO rulings (seq, id, splice_id, by, at, try_id, kind, why)
    SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "kind", "why"
    FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid, "kind" text, "why" text)
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
-- Inserts evidence that comes with its numbers, and whose splices are judged by whoever inserts it. An entry that is here
-- already is an error.
CREATE FUNCTION insert_attempts(entries jsonb) RETURNS void LANGUAGE sql AS $$
  INSERT INTO attempts (seq, id, splice_id, by, at, try_id, estimate_mdb, record_id, record_position, origin, supersedes, void, why)
  SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "estimateMdb", "recordId", "recordPosition",
      coalesce((SELECT r.origin FROM splicer_records r WHERE r.id = "recordId"), CASE WHEN "origin" = 'simulated' THEN 'simulated' ELSE 'typed' END),
      "supersedes", "void", "why"
  FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid, "estimateMdb" int, "recordId" uuid,
      "recordPosition" int, "origin" text, "supersedes" uuid, "void" bool, "why" text)
$$;
--> statement-breakpoint
CREATE FUNCTION insert_readings(entries jsonb) RETURNS void LANGUAGE sql AS $$
  INSERT INTO readings (seq, id, splice_id, by, at, try_id, grade, direction, wavelength_nm, loss_mdb, trace_id, origin, supersedes, void, why)
  SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "grade", "direction", "wavelengthNm", "lossMdb", "traceId",
      coalesce((SELECT t.origin FROM traces t WHERE t.id = "traceId"), CASE WHEN "origin" = 'simulated' THEN 'simulated' ELSE 'typed' END),
      "supersedes", "void", "why"
  FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid, "grade" text, "direction" text,
      "wavelengthNm" int, "lossMdb" int, "traceId" uuid, "origin" text, "supersedes" uuid, "void" bool, "why" text)
$$;
--> statement-breakpoint
CREATE FUNCTION insert_rulings(entries jsonb) RETURNS void LANGUAGE sql AS $$
  INSERT INTO rulings (seq, id, splice_id, by, at, try_id, kind, why)
  SELECT coalesce("seq", nextval('evidence_seq')), "id", "spliceId", "by", "at", "tryId", "kind", "why"
  FROM jsonb_to_recordset(entries) AS entry("seq" bigint, "id" uuid, "spliceId" uuid, "by" text, "at" timestamptz, "tryId" uuid, "kind" text, "why" text)
$$;
