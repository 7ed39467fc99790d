/** Packs what would take long to load file by file, before all tests. */
export default function pack(): Promise<void>;
