// What Zod has its schemas made with in place of its writer of JSON Schema, which a page never asks for.
const refuse = () => () => {
  throw new Error('The page writes no JSON Schema.');
};

exports.createToJSONSchemaMethod = refuse;
exports.createStandardJSONSchemaMethod = refuse;
