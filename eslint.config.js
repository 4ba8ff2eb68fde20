import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
    { ignores: ['public', 'vendor', 'node_modules', 'storage'] },
    ...tseslint.configs.recommended,
    { files: ['**/*.tsx', '**/*.ts'], plugins: { 'react-hooks': reactHooks }, rules: { ...reactHooks.configs.recommended.rules } },
);
