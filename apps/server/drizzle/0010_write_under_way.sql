-- A write is under way, for who asks for the pulse, before its entries have numbers.
CREATE FUNCTION be_under_way() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM pg_current_xact_id();
  RETURN NULL;
END
$$;
--> statement-breakpoint
DO $$
DECLARE
  evidence text;
BEGIN
  FOREACH evidence IN ARRAY ARRAY['attempts', 'readings', 'rulings', 'splicer_records', 'set_asides', 'instrument_log',
    'traces', 'trace_places', 'closing_entries', 'photos', 'signed_records']
  LOOP
    EXECUTE format('CREATE TRIGGER %I BEFORE INSERT ON %I FOR EACH STATEMENT EXECUTE FUNCTION be_under_way()',
      evidence || '_under_way', evidence);
  END LOOP;
END
$$;
