CREATE SEQUENCE "public"."evidence_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1;--> statement-breakpoint
CREATE TABLE "attempts" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"splice_id" uuid NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"try_id" uuid NOT NULL,
	"estimate_mdb" integer,
	"supersedes" uuid,
	"void" boolean NOT NULL,
	"why" text,
	CONSTRAINT "attempts_of_splice" UNIQUE("id","splice_id")
);
--> statement-breakpoint
CREATE TABLE "cables" (
	"id" uuid PRIMARY KEY NOT NULL,
	"project_id" uuid NOT NULL,
	"name" text NOT NULL,
	"make_up" jsonb NOT NULL,
	"scheme_id" text NOT NULL,
	CONSTRAINT "cables_name" UNIQUE("project_id","name")
);
--> statement-breakpoint
CREATE TABLE "closures" (
	"id" uuid PRIMARY KEY NOT NULL,
	"project_id" uuid NOT NULL,
	"name" text NOT NULL,
	"ordinal" integer NOT NULL,
	"distance" bigint,
	"branch_of" uuid,
	"trays" jsonb NOT NULL,
	CONSTRAINT "closures_name" UNIQUE("project_id","name")
);
--> statement-breakpoint
CREATE TABLE "imports" (
	"id" uuid PRIMARY KEY NOT NULL,
	"project_id" uuid NOT NULL,
	"result" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "projects" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"units" jsonb NOT NULL,
	"scheme_id" text NOT NULL,
	"limits" jsonb NOT NULL,
	"tray_capacity" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "readings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"splice_id" uuid NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"try_id" uuid,
	"grade" text NOT NULL,
	"direction" text,
	"wavelength_nm" integer NOT NULL,
	"loss_mdb" integer NOT NULL,
	"supersedes" uuid,
	"void" boolean NOT NULL,
	"why" text,
	CONSTRAINT "readings_of_splice" UNIQUE("id","splice_id")
);
--> statement-breakpoint
CREATE TABLE "rulings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"splice_id" uuid NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"try_id" uuid,
	"kind" text NOT NULL,
	"why" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "schemes" (
	"id" text PRIMARY KEY NOT NULL,
	"record" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "splices" (
	"id" uuid PRIMARY KEY NOT NULL,
	"project_id" uuid NOT NULL,
	"closure_id" uuid NOT NULL,
	"tray" integer NOT NULL,
	"slot" integer NOT NULL,
	"cable_a" uuid NOT NULL,
	"fiber_a" integer NOT NULL,
	"cable_b" uuid NOT NULL,
	"fiber_b" integer NOT NULL,
	"method" text NOT NULL,
	"extra" jsonb NOT NULL,
	"head_cable" uuid NOT NULL,
	"head_fiber" integer NOT NULL,
	"verdict" text DEFAULT 'open' NOT NULL,
	"redo" boolean DEFAULT false NOT NULL,
	"grade" smallint,
	"half" integer,
	"wavelength_nm" integer,
	"tries" smallint DEFAULT 0 NOT NULL,
	"missing" smallint[] DEFAULT '{}' NOT NULL,
	CONSTRAINT "splices_fiber_a" UNIQUE("closure_id","cable_a","fiber_a"),
	CONSTRAINT "splices_fiber_b" UNIQUE("closure_id","cable_b","fiber_b")
);
--> statement-breakpoint
CREATE TABLE "stale_splices" (
	"splice_id" uuid PRIMARY KEY NOT NULL,
	"project_id" uuid NOT NULL
);
--> statement-breakpoint
ALTER TABLE "attempts" ADD CONSTRAINT "attempts_splice_id_splices_id_fk" FOREIGN KEY ("splice_id") REFERENCES "public"."splices"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attempts" ADD CONSTRAINT "attempts_try" FOREIGN KEY ("try_id","splice_id") REFERENCES "public"."attempts"("id","splice_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "attempts" ADD CONSTRAINT "attempts_supersedes" FOREIGN KEY ("supersedes","splice_id") REFERENCES "public"."attempts"("id","splice_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cables" ADD CONSTRAINT "cables_project_id_projects_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."projects"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "closures" ADD CONSTRAINT "closures_project_id_projects_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."projects"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "closures" ADD CONSTRAINT "closures_branch_of_closures_id_fk" FOREIGN KEY ("branch_of") REFERENCES "public"."closures"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "imports" ADD CONSTRAINT "imports_project_id_projects_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."projects"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_splice_id_splices_id_fk" FOREIGN KEY ("splice_id") REFERENCES "public"."splices"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_try" FOREIGN KEY ("try_id","splice_id") REFERENCES "public"."attempts"("id","splice_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_supersedes" FOREIGN KEY ("supersedes","splice_id") REFERENCES "public"."readings"("id","splice_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rulings" ADD CONSTRAINT "rulings_splice_id_splices_id_fk" FOREIGN KEY ("splice_id") REFERENCES "public"."splices"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rulings" ADD CONSTRAINT "rulings_try" FOREIGN KEY ("try_id","splice_id") REFERENCES "public"."attempts"("id","splice_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "splices" ADD CONSTRAINT "splices_project_id_projects_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."projects"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "splices" ADD CONSTRAINT "splices_closure_id_closures_id_fk" FOREIGN KEY ("closure_id") REFERENCES "public"."closures"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "splices" ADD CONSTRAINT "splices_cable_a_cables_id_fk" FOREIGN KEY ("cable_a") REFERENCES "public"."cables"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "splices" ADD CONSTRAINT "splices_cable_b_cables_id_fk" FOREIGN KEY ("cable_b") REFERENCES "public"."cables"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stale_splices" ADD CONSTRAINT "stale_splices_splice_id_splices_id_fk" FOREIGN KEY ("splice_id") REFERENCES "public"."splices"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stale_splices" ADD CONSTRAINT "stale_splices_project_id_projects_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."projects"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "attempts_splice" ON "attempts" USING btree ("splice_id");--> statement-breakpoint
CREATE INDEX "readings_splice" ON "readings" USING btree ("splice_id");--> statement-breakpoint
CREATE INDEX "rulings_splice" ON "rulings" USING btree ("splice_id");--> statement-breakpoint
CREATE INDEX "splices_project" ON "splices" USING btree ("project_id");--> statement-breakpoint
CREATE INDEX "splices_place" ON "splices" USING btree ("closure_id","tray","slot");--> statement-breakpoint
CREATE INDEX "splices_head" ON "splices" USING btree ("head_cable","head_fiber");--> statement-breakpoint
CREATE INDEX "stale_splices_project" ON "stale_splices" USING btree ("project_id");