declare const rules: { readonly forbidden: readonly object[]; readonly options: object }
export default rules
