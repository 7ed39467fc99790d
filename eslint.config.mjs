import js from '@eslint/js';
import expo from 'eslint-config-expo/flat.js';
import tseslint from 'typescript-eslint';

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
