/** Of looks at the server that overlap, the one that began last is shown: the answer of an earlier one may come after it. */

/** @returns what looks: it gives the answer, or null where that of a later look is shown already, and rejects as the look does */
export function newestLook(): <T>(look: () => Promise<T>) => Promise<T | null> {
  let begun = 0
  let shown = 0
  return async (look) => {
    begun += 1
    const own = begun
    try {
      const answer = await look()
      if (own < shown) return null
      shown = own
      return answer
    } catch (error) {
      if (own < shown) return null
      throw error
    }
  }
}
