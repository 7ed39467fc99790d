-- What each request and each entry of somebody who has signed in asks, planned once a connection: planning took longer
-- than the work.
CREATE FUNCTION find_sessions(own_token text, device text, wanted uuid) RETURNS SETOF jsonb LANGUAGE plpgsql STABLE AS $$
BEGIN
  RETURN QUERY SELECT jsonb_build_object(
      'sessionId', s.id, 'token', s.token, 'personId', p.id, 'name', p.name, 'ownsServer', p.owns_server,
      'deviceId', s.device_id, 'secretHash', d.secret_hash,
      'lockedOutAt', to_char(d.locked_out_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
      'roles', coalesce((SELECT jsonb_object_agg(m.project_id, m.role) FROM members m WHERE m.person_id = p.id), '{}'))
    FROM sessions s JOIN people p ON p.id = s.person_id LEFT JOIN devices d ON d.id = s.device_id
    WHERE s.expires_at > now() AND (s.token = own_token OR (d.secret_hash = device AND s.person_id = wanted));
END $$;
--> statement-breakpoint
-- The projects of splices, of those too that a plan has dropped, and of what lies beside them: it is asked for next.
CREATE FUNCTION projects_of_splices(splice_ids uuid[]) RETURNS TABLE (id uuid, project_id uuid) LANGUAGE plpgsql STABLE AS $$
#variable_conflict use_column
BEGIN
  RETURN QUERY SELECT s.id, s.project_id FROM splices s
      WHERE s.closure_id IN (SELECT n.closure_id FROM splices n WHERE n.id = ANY (splice_ids))
    UNION ALL SELECT d.id, d.project_id FROM dropped_splices d
      WHERE d.id = ANY (splice_ids) AND NOT EXISTS (SELECT FROM splices s WHERE s.id = d.id);
END $$;
--> statement-breakpoint
-- Appends entries of one kind and keeps who sent them. Of entries that are here already it is known who did.
CREATE FUNCTION receive_entries(kind text, entries jsonb) RETURNS int LANGUAGE plpgsql AS $$
BEGIN
  -- The right was asked for in this project: whatever happened to the splice since, it goes nowhere else.
  IF EXISTS (SELECT FROM jsonb_to_recordset(entries) AS e("spliceId" uuid, receipt jsonb)
    JOIN splices s ON s.id = e."spliceId" WHERE s.project_id <> (e.receipt->>'projectId')::uuid)
  THEN
    RAISE EXCEPTION 'a splice of another project' USING ERRCODE = 'foreign_key_violation';
  END IF;
  INSERT INTO receipts (entry_id, project_id, person_id, device_id, after_lockout)
    SELECT e.id, s.project_id, (e.receipt->>'personId')::uuid, (e.receipt->>'deviceId')::uuid,
      coalesce(e.at < (e.receipt->>'lockedOutAt')::timestamptz, false)
    FROM jsonb_to_recordset(entries) AS e(id uuid, "spliceId" uuid, at timestamptz, receipt jsonb)
    JOIN splices s ON s.id = e."spliceId"
    WHERE e.receipt IS NOT NULL
      AND NOT EXISTS (SELECT FROM attempts k WHERE k.id = e.id) AND NOT EXISTS (SELECT FROM readings k WHERE k.id = e.id)
      AND NOT EXISTS (SELECT FROM inspections k WHERE k.id = e.id) AND NOT EXISTS (SELECT FROM rulings k WHERE k.id = e.id)
    ON CONFLICT DO NOTHING;
  RETURN CASE kind
    WHEN 'attempt' THEN append_attempts(entries)
    WHEN 'reading' THEN append_readings(entries)
    WHEN 'inspection' THEN append_inspections(entries)
    WHEN 'ruling' THEN append_rulings(entries)
  END;
END $$;
