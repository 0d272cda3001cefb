import js from '@eslint/js';
import access from 'eslint-plugin-jsx-a11y-x';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
    {
        ignores: [
            'public/**',
            'vendor/**',
            'node_modules/**',
            'storage/**',
            'bootstrap/cache/**',
            'test-results/**',
            'playwright-report/**',
        ],
    },
    js.configs.recommended,
    ...tseslint.configs.strict,
    hooks.configs.flat['recommended-latest'] ?? hooks.configs['recommended-latest'],
    {
        files: ['**/*.tsx'],
        plugins: { 'jsx-a11y-x': access },
        rules: {
            ...access.configs.strict.rules,
            // A field that opens because somebody asked for it takes the focus.
            'jsx-a11y-x/no-autofocus': 'off',
            // What scrolls of its own is reached by keyboard.
            'jsx-a11y-x/no-noninteractive-tabindex': [
                'error',
                { roles: ['group', 'application'], tags: ['aside', 'ol'], allowExpressionValues: true },
            ],
            // Files may be dropped anywhere on a list that has a button for them too.
            'jsx-a11y-x/no-static-element-interactions': [
                'error',
                { handlers: ['onClick', 'onMouseDown', 'onMouseUp', 'onKeyPress', 'onKeyDown', 'onKeyUp'] },
            ],
        },
    },
    {
        rules: {
            '@typescript-eslint/consistent-type-imports': 'error',
            'no-console': 'error',
            'max-len': ['error', { code: 120, ignoreUrls: true }],
        },
    },
    {
        files: ['resources/js/**/*.tsx'],
        ignores: ['resources/js/tests/**'],
        // A screen is made of parts round one context.
        rules: { 'max-lines-per-function': ['error', 150] },
    },
);
