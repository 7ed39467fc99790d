CREATE TABLE "inspections" (
	"id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint DEFAULT nextval('evidence_seq') NOT NULL,
	"splice_id" uuid NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"try_id" uuid,
	"face" text,
	"light" text,
	"origin" text NOT NULL,
	"supersedes" uuid,
	"void" boolean NOT NULL,
	"why" text,
	CONSTRAINT "inspections_of_splice" UNIQUE("id","splice_id")
);
--> statement-breakpoint
ALTER TABLE "cables" ADD COLUMN "closure_id" uuid;--> statement-breakpoint
ALTER TABLE "splices" ADD COLUMN "end_way" text;--> statement-breakpoint
ALTER TABLE "inspections" ADD CONSTRAINT "inspections_splice_id_splices_id_fk" FOREIGN KEY ("splice_id") REFERENCES "public"."splices"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "inspections" ADD CONSTRAINT "inspections_try" FOREIGN KEY ("try_id","splice_id") REFERENCES "public"."attempts"("id","splice_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "inspections" ADD CONSTRAINT "inspections_supersedes" FOREIGN KEY ("supersedes","splice_id") REFERENCES "public"."inspections"("id","splice_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "inspections_splice" ON "inspections" USING btree ("splice_id");--> statement-breakpoint
CREATE INDEX "inspections_seq" ON "inspections" USING btree ("seq");--> statement-breakpoint
ALTER TABLE "cables" ADD CONSTRAINT "cables_closure_id_closures_id_fk" FOREIGN KEY ("closure_id") REFERENCES "public"."closures"("id") ON DELETE no action ON UPDATE no action;