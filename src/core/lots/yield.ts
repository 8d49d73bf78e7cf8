/** What a run of the screen lost or gained, as a share of what went in (contract, section 8). */

/** From these shares on it asks: something was spilled, not measured, or measured twice. */
const MOST_LOST = 0.15;
const MOST_GAINED = 0.05;

/** What came out of a screen and is not accounted for; null: an amount is not known. @param litresOut fines, overs and rejects */
export function unaccountedOf(
  litresIn: number | null,
  litresOut: number | null,
): { readonly share: number; readonly asks: boolean } | null {
  if (litresIn === null || litresOut === null || litresIn <= 0) return null;
  const share = (litresIn - litresOut) / litresIn;
  return { share, asks: share > MOST_LOST || share < -MOST_GAINED };
}
