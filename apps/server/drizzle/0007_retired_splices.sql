ALTER TABLE "splices" DROP CONSTRAINT "splices_fiber_a";--> statement-breakpoint
ALTER TABLE "splices" DROP CONSTRAINT "splices_fiber_b";--> statement-breakpoint
ALTER TABLE "splices" ADD COLUMN "live" boolean DEFAULT true NOT NULL;--> statement-breakpoint
CREATE UNIQUE INDEX "splices_fiber_a" ON "splices" USING btree ("closure_id","cable_a","fiber_a") WHERE "splices"."live";--> statement-breakpoint
CREATE UNIQUE INDEX "splices_fiber_b" ON "splices" USING btree ("closure_id","cable_b","fiber_b") WHERE "splices"."live";--> statement-breakpoint
-- What was cut away stays as it was recorded: nothing brings it back, nothing takes it out.
CREATE FUNCTION refuse_revival() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	IF TG_OP = 'DELETE' OR NEW.live THEN
		RAISE EXCEPTION 'a splice that was cut away stays as it is: its fibers are joined by a new one';
	END IF;
	RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER splices_stay_retired BEFORE UPDATE OR DELETE ON splices
FOR EACH ROW WHEN (NOT OLD.live) EXECUTE FUNCTION refuse_revival();
