import prettier from 'eslint-config-prettier'
import boundaries from 'eslint-plugin-boundaries'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

// Each layer knows only those before it; a feature knows no other feature.
const layers = ['api', 'styles', 'core', 'shared', 'instruments', 'offline', 'feature', 'app']
const before = (layer) => layers.slice(0, layers.indexOf(layer) + 1).filter((l) => l !== 'feature' || layer === 'app')

export default tseslint.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: tseslint.parser } } },
  {
    files: ['src/**/*.{ts,vue}'],
    plugins: { boundaries },
    settings: {
      'boundaries/include': ['src/**/*'],
      'boundaries/elements': [
        ...layers.filter((l) => l !== 'feature').map((type) => ({ type, pattern: `src/${type}` })),
        { type: 'feature', pattern: 'src/features/*', capture: ['name'] },
      ],
      'import/resolver': { node: { extensions: ['.ts', '.vue', '.d.ts'] } },
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: layers.map((layer) => ({
            from: { element: { type: layer } },
            allow: [
              { to: { element: { type: before(layer) } } },
              ...(layer === 'feature'
                ? [{ to: { element: { type: 'feature', captured: { name: '{{ from.captured.name }}' } } } }]
                : []),
            ],
          })),
        },
      ],
    },
  },
  { rules: { 'vue/multi-word-component-names': 'off', 'vue/require-default-prop': 'off' } },
  prettier,
)
