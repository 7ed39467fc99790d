ALTER TABLE "devices" ADD COLUMN "previous_hash" text;--> statement-breakpoint
ALTER TABLE "devices" ADD COLUMN "renewed_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "proof_hash" text;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "proof_until" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "confirmed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "devices" ADD CONSTRAINT "devices_previous_hash_unique" UNIQUE("previous_hash");--> statement-breakpoint
DROP FUNCTION find_sessions(text, text, uuid);
--> statement-breakpoint
-- What each request of somebody who has signed in asks: their session, and the one that another person has on the same
-- device. A proof holds for a shift, a confirmation for the minutes of signing.
CREATE FUNCTION find_sessions(own_token text, wanted uuid) RETURNS SETOF jsonb LANGUAGE plpgsql STABLE AS $$
BEGIN
  RETURN QUERY SELECT jsonb_build_object(
      'sessionId', s.id, 'token', s.token, 'personId', p.id, 'name', p.name, 'ownsServer', p.owns_server,
      'deviceId', s.device_id, 'secretHash', d.secret_hash, 'previousHash', d.previous_hash,
      'isSettled', d.renewed_at < now() - interval '1 minute',
      'proofHash', s.proof_hash, 'isProven', coalesce(s.proof_until > now(), false),
      'isConfirmed', coalesce(s.confirmed_at > now() - interval '5 minutes', false),
      'lockedOutAt', to_char(d.locked_out_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
      'roles', coalesce((SELECT jsonb_object_agg(m.project_id, m.role) FROM members m WHERE m.person_id = p.id), '{}'))
    FROM sessions s JOIN people p ON p.id = s.person_id LEFT JOIN devices d ON d.id = s.device_id
    WHERE s.expires_at > now() AND (s.token = own_token OR (s.person_id = wanted
      AND s.device_id = (SELECT o.device_id FROM sessions o WHERE o.token = own_token AND o.expires_at > now())));
END $$;
