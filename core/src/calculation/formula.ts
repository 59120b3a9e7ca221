/** A formula as people write it, from the same formula as a program reads it. */

const SUBSCRIPTS: Readonly<Record<string, string>> = {
  '0': '₀',
  '1': '₁',
  '2': '₂',
  '3': '₃',
  a: 'ₐ',
  e: 'ₑ',
  j: 'ⱼ',
  n: 'ₙ',
  o: 'ₒ',
  p: 'ₚ',
  r: 'ᵣ',
  s: 'ₛ',
  t: 'ₜ',
}

/** `I_1` → `I₁`, `I_1max` → `I₁max`, `I_min` stays. */
export const shownSymbol = (symbol: string): string =>
  symbol.replace(/_([0-9a-z])(\w*)$/, (whole, first: string, rest: string) => {
    const mark = SUBSCRIPTS[first]
    if (mark === undefined) return whole
    return rest === '' || /\d/.test(first) ? `${mark}${rest}` : whole
  })

/** Replaces `name(…)` by what stands before and after its argument. */
function unwrap(text: string, name: string, before: string, after: string): string {
  const start = text.search(new RegExp(`\\b${name}\\(`))
  if (start < 0) return text
  const open = start + name.length
  let depth = 0
  for (let at = open; at < text.length; at += 1) {
    if (text[at] === '(') depth += 1
    if (text[at] === ')') depth -= 1
    if (depth > 0) continue
    const argument = text.slice(open + 1, at)
    return unwrap(
      `${text.slice(0, start)}${before}${argument}${after}${text.slice(at + 1)}`,
      name,
      before,
      after,
    )
  }
  return text
}

/** @returns for example `60·m / r` for `60 * m / r`, `⌈t / t₁⌉` for `ceil(t / t_1)` */
export function shownFormula(expression: string): string {
  const bare = unwrap(unwrap(expression, 'ceil', '⌈', '⌉'), 'floor', '⌊', '⌋')
  return bare
    .replace(/\bsqrt\(/g, '√(')
    .replace(/\bsum\(/g, 'Σ(')
    .replace(/\bpi\b/g, 'π')
    .replace(/\btheta\b/g, 'θ')
    .replaceAll(' * ', '·')
    .replaceAll(' - ', ' − ')
    .replace(/\^2\b/g, '²')
    .replace(/[A-Za-zα-ωΑ-Ω]\w*_\w+/g, shownSymbol)
}
