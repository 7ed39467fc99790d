import js from '@eslint/js';
import expo from 'eslint-config-expo/flat.js';
import tseslint from 'typescript-eslint';

/** Words in the code of a page: text between tags, labels, and anything that reads as a sentence. */
const literalText = [
  'JSXText[value=/[A-Za-z]{2,}/]',
  'JSXAttribute[name.name=/^(label|title|above|hint|word|why|onward|placeholder|aria-label)$/] > Literal[value=/[A-Za-z]{3,}/]',
  'JSXExpressionContainer Literal[value=/^[A-Z][a-z]{2,}/]',
  ':not(TSLiteralType, ImportDeclaration, BinaryExpression, JSXAttribute) > Literal[value=/^(?!.*px)( ?[A-Z][a-z]\\S* \\w|.*([a-z]{2,} \\w+ \\w+ \\w|[a-z]{3,}[.:?!…] ?$))/]',
  'TemplateElement[value.cooked=/^(?![^]*(px|[{}]))[^]*((^|[.,;:·] ?)[A-Z]?[a-z]{2,}[,:]? |\\s[a-z]{3,}[.:?!…,]? ?$|[a-z]{2,} \\w+ \\w)/]',
].map((selector) => ({
  selector,
  message: 'Text that people read stands in packages/text/src/pages.',
}));

export default tseslint.config(
  {
    ignores: [
      '**/dist/',
      '**/.expo/',
      '**/node_modules/',
      'apps/server/drizzle/',
      'apps/web/expo-env.d.ts',
      'packages/client/src/api/paths.ts',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  ...expo.map((config) => ({ ...config, files: ['apps/web/**/*.{ts,tsx}'] })),
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': 'off',
      // TypeScript resolves imports, and knows the aliases.
      'import/no-unresolved': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  {
    // What people read stands in packages/text.
    files: ['apps/web/src/**/*.{ts,tsx}', 'apps/web/app/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', 'apps/web/src/ui/iconPaths.ts'],
    rules: { 'no-restricted-syntax': ['error', ...literalText] },
  },
  {
    files: ['**/*.{mjs,cjs,js}'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        module: 'writable',
        exports: 'writable',
        globalThis: 'readonly',
        require: 'readonly',
        __dirname: 'readonly',
        URL: 'readonly',
      },
    },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
);
