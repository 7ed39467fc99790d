-- A fiber is spliced once at a closure and leg, whichever side of a splice it stands on: the indexes hold each side, this
-- holds one against the other. Whoever writes splices has the lock of their project.
CREATE FUNCTION refuse_second_splice() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF EXISTS (SELECT FROM written w JOIN splices s
      ON s.closure_id = w.closure_id AND s.cable_a = w.cable_b AND s.fiber_a = w.fiber_b
        AND coalesce(s.leg_a, '') = coalesce(w.leg_b, '') AND s.live
      WHERE w.live)
    OR EXISTS (SELECT FROM written w JOIN splices s
      ON s.closure_id = w.closure_id AND s.cable_b = w.cable_a AND s.fiber_b = w.fiber_a
        AND coalesce(s.leg_b, '') = coalesce(w.leg_a, '') AND s.live
      WHERE w.live)
  THEN
    RAISE EXCEPTION 'a fiber is spliced twice' USING ERRCODE = 'unique_violation', CONSTRAINT = 'splices_fiber_a';
  END IF;
  RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER splices_written_once AFTER INSERT ON splices REFERENCING NEW TABLE AS written
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_second_splice();
