import js from '@eslint/js';
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
        rules: {
            '@typescript-eslint/consistent-type-imports': 'error',
            'no-console': 'error',
        },
    },
);
