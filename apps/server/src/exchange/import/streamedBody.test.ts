import fc from 'fast-check';
import { readStreamed } from './streamedBody.ts';

/** A text as a stream of bytes in pieces of a length, which may cut a sign in two. */
const streamOf = (text: string, length = 7): ReadableStream<Uint8Array> => {
  const bytes = new TextEncoder().encode(text);
  let at = 0;
  return new ReadableStream({
    pull(controller) {
      if (at >= bytes.length) return controller.close();
      controller.enqueue(bytes.subarray(at, at + length));
      at += length;
    },
  });
};

const read = (body: ReadableStream<Uint8Array>) => readStreamed(body, () => undefined);

describe('a document that is read as it comes', () => {
  it('is what the whole text is, however it is cut', async () => {
    const row = fc.record({
      id: fc.string({ unit: 'grapheme' }),
      deep: fc.jsonValue({ maxDepth: 3 }),
    });
    await fc.assert(
      fc.asyncProperty(
        fc.array(row, { maxLength: 6 }),
        fc.jsonValue({ maxDepth: 3 }),
        fc.integer({ min: 1, max: 40 }),
        async (evidence, project, length) => {
          const document = { format: 'cordel.project', project, evidence, splices: [] };
          const text = JSON.stringify(document, null, length % 3);
          // What no database keeps is refused, and is another test's matter.
          fc.pre(!/\\u0000|\\ud[89a-f]/i.test(text));
          expect(await read(streamOf(text, length))).toEqual(JSON.parse(text));
        },
      ),
      { numRuns: 150 },
    );
  });

  it.each([
    ['no JSON', '{"evidence":[1,}', 400],
    ['half of one', '{"evidence":[{"id":1}', 400],
    ['nothing', '', 400],
    ['two of them', '{"format":"x"} {}', 400],
    ['brackets in brackets', `{"evidence":[${'['.repeat(100_000)}`, 413],
    ['text that cannot be kept', '{"evidence":[{"id":1},{"by":"a\\u0000b"}]}', 422],
  ])('%s is refused', async (_, text, status) => {
    await expect(read(streamOf(text, 1000))).rejects.toMatchObject({ status });
  });

  it('names the place of what cannot be kept', async () => {
    const text = JSON.stringify({ project: { name: 'cut \ud83e' } });
    await expect(read(streamOf(text))).rejects.toMatchObject({
      errors: [{ place: '/project/name' }],
    });
    const rows = JSON.stringify({ evidence: [{}, {}, { by: 'a\0' }] });
    await expect(read(streamOf(rows))).rejects.toMatchObject({
      errors: [{ place: '/evidence/2/by' }],
    });
  });

  it('keeps what is no list where a list belongs, for the schema to name', async () => {
    const found = await read(streamOf('{"closures":5,"cables":{"a":[1]},"photos":null}'));
    expect(found).toEqual({ closures: 5, cables: { a: [1] }, photos: null });
  });
});
