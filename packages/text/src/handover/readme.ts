/** What a reader is told who has nothing but the zip. */
export const README = `As-built record, made by Cordel

as-built.pdf          the record for people: summary with verdicts, splice sheets by tray, losses,
                      inspection, pressure tests, waivers, signatures, photos, traces
as-built.xlsx         the same as a workbook, a sheet a matter; figures are numbers, times are UTC
csv/                  the same as CSV (RFC 4180, UTF-8)
project.json          the whole project, as project.schema.json describes it; Cordel reads it back
closure.json          in the package of one closure: its record in canonical form (RFC 8785)
route.geojson         route and closures (RFC 7946)
traces/               OTDR traces, byte for byte as they came
photos/               photos, as they were kept
signed/               what was signed, in canonical form (RFC 8785)
chain.jsonl           a link an entry: SHA-256 of what the entry says, and of the link with the hash of the one before
checkpoint.json       what the server signed of the chain (Ed25519); the PDF's first page has it as a code
verify.mjs            checks both: node verify.mjs
manifest.json         every file with its size and SHA-256
SHA256SUMS            the same for a command

To check that nothing was changed:

    sha256sum -c SHA256SUMS

To check that nothing of the record was changed, dropped or put in between since it was recorded:

    node verify.mjs

To check a signature: the SHA-256 of its file in signed/ is the digest that the signature names, in
manifest.json under "signed", in the PDF under the signature, and in the sheet "closing".

    sha256sum signed/*

The same record gives the same bytes: two packages that differ are of records that differ.

Losses are in dB, a gain below zero; a two-way figure is the mean of both directions. Verdicts follow the
project's limits, which stand on the first page.
`;
