ALTER TABLE "splices" ADD COLUMN "leg_a" text;--> statement-breakpoint
ALTER TABLE "splices" ADD COLUMN "leg_b" text;