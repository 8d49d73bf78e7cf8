/** Cautions of the trade, one sentence each, shown where the work is. */
export const CAUTION = {
  steam: 'Steam and a hot core burn: gloves on, face away when you open it.',
  danger:
    'Keep people back and do not open it blindly: air feeds a smoulder. If you see smoke or smell burning, call the fire service.',
  spores:
    'Dry turning throws up dust and spores: damp it down or wear a mask, and keep people with weak lungs away.',
  burnt:
    'A burnt smell can mean a smoulder: do not open the heap, keep people back, and call the fire service if there is smoke.',
  split:
    'Splitting lets air into a very hot heap: have water running, look for smoke first, and work small.',
  machine:
    'Keep people clear of the loader, and let only a trained driver run it; stop it before anything is cleared by hand.',
  lift: 'Forking is heavy: small loads, two people, rests.',
  food: 'Rats carry disease: gloves, and keep what they touched away from food crops.',
  unproven: 'Unproven compost may carry germs and live seeds: say so to whoever takes it.',
  rawOut:
    'Unproven, it counts as raw manure where it goes: keep the intervals to harvest that your local authority sets, and keep it off crops that are eaten raw.',
  warmOut:
    'Do not stack or bag it warm: it can heat up again by itself and catch fire. Read it the next day.',
  coldHeap:
    'Seeds, roots and plant disease live through a heap that does not get hot. Strip the seed heads and roots off first, or put it into a hot heap instead.',
  raw: 'Raw manure and leachate carry germs: gloves, and wash hands and tools before you touch a finished heap.',
} as const;
