import { MarkSymbols } from './marks';

/** Hatches, stripes and textures that every drawing shares; placed once in the page. */
export function Patterns() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      <MarkSymbols />
      <defs>
        <pattern
          id="hatch"
          width="5"
          height="5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(38)"
        >
          <path d="M0 0V5" stroke="var(--color-ink)" strokeWidth="1.5" opacity=".85" />
        </pattern>
        <pattern
          id="hatch-small"
          width="3.6"
          height="3.6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(38)"
        >
          <path d="M0 0V3.6" stroke="var(--color-ink)" strokeWidth="1.2" opacity=".85" />
        </pattern>
        <pattern
          id="danger"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <path d="M1.5 0V7" stroke="var(--color-danger-stripe)" strokeWidth="2" />
        </pattern>
        <pattern
          id="danger-small"
          width="5"
          height="5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <path d="M1 0V5" stroke="var(--color-danger-stripe)" strokeWidth="1.5" />
        </pattern>
        <pattern id="crumb" width="11" height="9" patternUnits="userSpaceOnUse">
          <path
            d="M1.5 2.2h1.6M6.4 4.8h2M3.2 7.4h1.4M9.4 1h1"
            stroke="var(--color-ink)"
            strokeWidth="1.2"
            strokeLinecap="round"
            opacity=".55"
          />
        </pattern>
        <pattern id="stones" width="190" height="40" patternUnits="userSpaceOnUse">
          <g fill="#fff" opacity=".075">
            <path d="M12 9q4-3 8 0t-2 5-7-1zM58 27q6-2 9 1t-4 4-7-1zM104 13q3-3 6-1t0 4-6 0zM141 30q5-2 7 0t-3 4-6-1zM171 7q3-1 5 1t-3 3-4-1z" />
            <circle cx="36" cy="19" r="1.4" />
            <circle cx="83" cy="8" r="1.1" />
            <circle cx="127" cy="22" r="1.5" />
            <circle cx="160" cy="19" r="1" />
            <circle cx="5" cy="31" r="1.2" />
          </g>
        </pattern>
      </defs>
    </svg>
  );
}
