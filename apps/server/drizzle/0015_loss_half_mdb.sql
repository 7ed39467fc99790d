ALTER TABLE "splices" RENAME COLUMN "half" TO "loss_half_mdb";--> statement-breakpoint
-- What counts of a splice is kept as JSON, with the same name.
UPDATE "splices" SET "figures" = (
  SELECT jsonb_agg((figure - 'half') || jsonb_build_object('lossHalfMdb', figure -> 'half') ORDER BY place)
  FROM jsonb_array_elements("figures") WITH ORDINALITY AS listed(figure, place)
) WHERE jsonb_array_length("figures") > 0;
