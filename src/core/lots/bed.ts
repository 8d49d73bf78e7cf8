/** Litres that a bed takes: 1 m² at 1 cm is 10 L (arithmetic). @param depthM how deep it is spread, m */
export const litresOnBed = (areaM2: number, depthM: number): number => areaM2 * depthM * 1000;
