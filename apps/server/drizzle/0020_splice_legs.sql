DROP INDEX "splices_fiber_a";--> statement-breakpoint
DROP INDEX "splices_fiber_b";--> statement-breakpoint
ALTER TABLE "splices" ADD COLUMN "leg_a" text;--> statement-breakpoint
ALTER TABLE "splices" ADD COLUMN "leg_b" text;--> statement-breakpoint
CREATE UNIQUE INDEX "splices_fiber_a" ON "splices" USING btree ("closure_id","cable_a","fiber_a",coalesce("leg_a", '')) WHERE "splices"."live";--> statement-breakpoint
CREATE UNIQUE INDEX "splices_fiber_b" ON "splices" USING btree ("closure_id","cable_b","fiber_b",coalesce("leg_b", '')) WHERE "splices"."live";