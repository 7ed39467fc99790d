-- Evidence is appended, never changed: a correction is an entry of its own.
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'Evidence in % is append-only: record a correction instead.', TG_TABLE_NAME;
END $$;
--> statement-breakpoint
CREATE TRIGGER attempts_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON attempts
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER readings_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON readings
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER rulings_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON rulings
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
