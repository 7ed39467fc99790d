/** What the server answers: it says from which database. */
export const serverAnswer = (body: unknown, status = 200): Response =>
  Response.json(body, { status, headers: { 'x-cordel-database': 'a database' } });
