CREATE TABLE "clock_corrections" (
	"entry_id" uuid PRIMARY KEY NOT NULL,
	"project_id" uuid NOT NULL,
	"by" text NOT NULL,
	"said_at" timestamp with time zone NOT NULL,
	"corrected_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "dropped_splices" (
	"id" uuid PRIMARY KEY NOT NULL,
	"project_id" uuid NOT NULL,
	"closure_id" uuid NOT NULL,
	"splice" jsonb NOT NULL,
	"by" text,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "undecided_evidence" (
	"seq" bigserial PRIMARY KEY NOT NULL,
	"id" uuid NOT NULL,
	"splice_id" uuid NOT NULL,
	"entry" jsonb NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "undecided_evidence_id_unique" UNIQUE("id")
);
--> statement-breakpoint
ALTER TABLE "undecided_evidence" ADD CONSTRAINT "undecided_evidence_splice_id_dropped_splices_id_fk" FOREIGN KEY ("splice_id") REFERENCES "public"."dropped_splices"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "clock_corrections_project" ON "clock_corrections" USING btree ("project_id","corrected_at");--> statement-breakpoint
CREATE INDEX "dropped_splices_closure" ON "dropped_splices" USING btree ("closure_id");--> statement-breakpoint
CREATE INDEX "undecided_evidence_splice" ON "undecided_evidence" USING btree ("splice_id");--> statement-breakpoint
CREATE TRIGGER clock_corrections_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON clock_corrections
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
