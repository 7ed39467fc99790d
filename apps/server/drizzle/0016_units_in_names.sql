ALTER TABLE "projects" ALTER COLUMN "practice" SET DEFAULT '{"tubeTool":"scorer","gel":"at once","trayFiber":10000,"redos":3,"redoConsumption":400,"redoPercent":5,"arc":{"when":"both","arcs125":300,"arcs400":50,"temperature":10,"humidity":30,"pressure":5,"streak":3,"idleDays":14},"adhesiveWait":60,"workingLength":"mark 30 mm","noTension":null,"dropEnd":"splice-on","leakLimit":100}'::jsonb;--> statement-breakpoint
UPDATE "projects" SET "practice" = ("practice" - 'redoEats') || jsonb_build_object('redoConsumption', "practice" -> 'redoEats')
WHERE "practice" ? 'redoEats';--> statement-breakpoint
-- What was found in the samples is looked for again: it has the number of its finder. Warnings stay as they were said.
UPDATE "traces" SET "facts" = ("facts" - 'at' - 'spacing' - 'range' - 'warnings') || jsonb_build_object(
  'measuredAtS', "facts" -> 'at',
  'spacingM', "facts" -> 'spacing',
  'rangeM', "facts" -> 'range',
  'warnings', (
    SELECT coalesce(jsonb_agg(jsonb_build_object('code', 'saidBefore', 'text', said) ORDER BY place), '[]')
    FROM jsonb_array_elements_text("facts" -> 'warnings') WITH ORDINALITY AS listed(said, place)
  )
)
WHERE "facts" ? 'at';
