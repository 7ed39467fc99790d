CREATE TABLE "chain" (
	"project_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"kind" text NOT NULL,
	"entry_id" uuid NOT NULL,
	"digest" text NOT NULL,
	"hash" text NOT NULL,
	CONSTRAINT "chain_project_id_number_pk" PRIMARY KEY("project_id","number"),
	CONSTRAINT "chain_entry" UNIQUE("entry_id")
);
--> statement-breakpoint
CREATE TABLE "checkpoints" (
	"project_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"hash" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"public_key" text NOT NULL,
	"signature" text NOT NULL,
	CONSTRAINT "checkpoints_project_id_number_pk" PRIMARY KEY("project_id","number")
);
--> statement-breakpoint
CREATE TRIGGER chain_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON chain
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER checkpoints_append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON checkpoints
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
