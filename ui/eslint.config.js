import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

export default ts.config(
  { ignores: ['src/lib/schema.d.ts', 'node_modules'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  ...svelte.configs.prettier,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: {
      parserOptions: { parser: ts.parser, svelteConfig },
    },
  },
  {
    // What two rooms share lives in lib; a room knows no other room.
    files: ['src/rooms/*/**'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['../[a-z]*/**'] }] },
  },
  {
    rules: {
      'no-undef': 'off',
      'svelte/no-navigation-without-resolve': 'off',
      // It needs the types of every file, which takes longer than all else; lib/parts/props.test.ts holds the same.
      'svelte/no-unused-props': 'off',
      // State lives in runes; there is no store that this slow rule could protect.
      'svelte/require-store-reactive-access': 'off',
    },
  },
);
