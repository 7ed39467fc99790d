-- An express cable leaves by a port of its own; a tick keeps what was written down with it.
UPDATE "assemblies" SET "entries" = (
  SELECT coalesce(jsonb_agg('{"portOut":null,"conduit":0}'::jsonb || entry || jsonb_build_object('done', (
    SELECT coalesce(jsonb_agg('{"answers":{},"photos":[]}'::jsonb || tick ORDER BY at), '[]')
    FROM jsonb_array_elements(entry -> 'done') WITH ORDINALITY AS ticked(tick, at)
  )) ORDER BY place), '[]')
  FROM jsonb_array_elements("entries") WITH ORDINALITY AS listed(entry, place)
);--> statement-breakpoint
-- Hardware of before is worked on as its form is in general; 2032 tenths of a millimeter are 8 in.
UPDATE "hardware" SET "record" = jsonb_set(
  '{"access":0,"torqueMilliNm":null,"sleeve":"60 mm","parts":[],"procedure":null}'::jsonb || "record",
  '{keep}',
  '{"strengthAtFirst":2032}'::jsonb || ("record" -> 'keep')
);
