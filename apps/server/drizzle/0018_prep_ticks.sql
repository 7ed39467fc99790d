-- A step of preparation that is done says by whom and when; of those before nobody had.
UPDATE "assemblies" SET "entries" = (
  SELECT coalesce(jsonb_agg(entry || jsonb_build_object('done', (
    SELECT coalesce(jsonb_agg(jsonb_build_object('step', step, 'by', null, 'at', null) ORDER BY at), '[]')
    FROM jsonb_array_elements_text(entry -> 'done') WITH ORDINALITY AS ticked(step, at)
  )) ORDER BY place), '[]')
  FROM jsonb_array_elements("entries") WITH ORDINALITY AS listed(entry, place)
);
