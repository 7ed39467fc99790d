CREATE TABLE "upload_pieces" (
	"digest" text NOT NULL,
	"start" integer NOT NULL,
	"bytes" "bytea" NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "upload_pieces_digest_start_pk" PRIMARY KEY("digest","start")
);
