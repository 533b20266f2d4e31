// Sizes of type and gaps come from one place, look.css: five sizes, three gaps.
const size = /var\(--size-(title|number|text|note|small)\)/
const gap = String.raw`(0|var\(--(near|gap|far)\))`

export default {
  overrides: [{ files: ['**/*.vue'], customSyntax: 'postcss-html' }],
  rules: {
    'declaration-property-value-allowed-list': {
      'font-size': [size, 'inherit', /em$/],
      font: [size, 'inherit', '3.6px var(--body)'],
      '/^((row|column)-)?gap$/': [new RegExp(`^${gap}( ${gap})?$`)],
    },
  },
}
