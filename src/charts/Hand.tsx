const BALL =
  'M7 22c-1-3 2-4.5 4-5 0-4 4-5.5 7-5 3-3.500 8-3.500 11-.5 4-.5 6.500 2 6.500 5 3 1.500 4.500 4.500 2.500 7.500 1.500 4-1 7-5 7.500-2 4-7 5-10.500 3-4 2-9 1-11-2.500-4 0-6.500-5-4.500-10z';

/** A handful after a hard squeeze: it crumbles, holds, gives a drop, or runs. The word stands beside it. */
export function Hand({
  state,
  chosen,
}: {
  state: 'crumbles' | 'holds' | 'drops' | 'runs';
  chosen: boolean;
}) {
  const [earth, grain] = chosen
    ? ['#e9dfc9', 'var(--color-ink)']
    : ['var(--color-humus)', 'var(--color-sheet)'];
  return (
    <svg width={46} height={52} viewBox="0 0 46 52" aria-hidden="true" className="flex-none">
      {state === 'crumbles' ? (
        <>
          <path
            d="M11 36l4-6 5 3-2 5zM21 39l3-6 6 2-1 5zM31 34l4-3 4 5-5 3zM17 26l5-5 5 4-4 4zM29 28l3-5 5 3-3 4zM13 22l3-3 3 2-2 3z"
            fill={earth}
          />
          <path
            d="M8 42h.01M19 44h.01M33 44h.01M41 41h.01M25 17h.01"
            stroke={earth}
            strokeWidth={2.6}
            strokeLinecap="round"
          />
        </>
      ) : (
        <>
          <path d={BALL} fill={earth} />
          <path
            d="M12.500 17.500q9-5 20.500-1M10.500 24q12-5.500 25.500-1M12 30.500q11-5 22.500-1"
            fill="none"
            stroke={grain}
            strokeWidth={1.7}
            strokeLinecap="round"
          />
          {state === 'drops' && (
            <path
              d="M23 40.500c2 2.600 2.800 3.900 2.800 5.200a2.800 2.800 0 0 1-5.600 0c0-1.300.8-2.600 2.800-5.200z"
              fill="var(--color-water)"
            />
          )}
          {state === 'runs' && (
            <path
              d="M15 38v9M23 40v11M31 38v9"
              stroke="var(--color-water)"
              strokeWidth={3.4}
              strokeLinecap="round"
            />
          )}
        </>
      )}
    </svg>
  );
}
