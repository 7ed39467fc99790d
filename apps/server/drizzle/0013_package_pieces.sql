CREATE TABLE "package_pieces" (
	"package_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"bytes" "bytea" NOT NULL,
	CONSTRAINT "package_pieces_package_id_number_pk" PRIMARY KEY("package_id","number")
);
--> statement-breakpoint
ALTER TABLE "package_pieces" ADD CONSTRAINT "package_pieces_package_id_packages_id_fk" FOREIGN KEY ("package_id") REFERENCES "public"."packages"("id") ON DELETE cascade ON UPDATE no action;