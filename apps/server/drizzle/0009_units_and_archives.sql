CREATE TABLE "archives" (
	"kind" text NOT NULL,
	"id" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "archives_kind_id_pk" PRIMARY KEY("kind","id")
);
--> statement-breakpoint
-- Units, paper and time zone are a setting of the project; until now only the unit of distances was. The others
-- go with it, and times were shown as UTC.
UPDATE projects SET units = (CASE WHEN units ->> 'distance' IN ('mi', 'ft')
	THEN '{"length": "in", "pressure": "psi", "temperature": "F", "altitude": "ft", "paper": "Letter", "timeZone": "UTC"}'
	ELSE '{"length": "mm", "pressure": "kPa", "temperature": "C", "altitude": "m", "paper": "A4", "timeZone": "UTC"}'
END)::jsonb || units;
