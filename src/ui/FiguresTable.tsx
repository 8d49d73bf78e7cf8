import { LinkedName } from './LinkedName';

type Figures = {
  readonly head: readonly string[];
  readonly rows: readonly {
    readonly name: string;
    readonly href?: string | null;
    readonly cells: readonly string[];
  }[];
};

/** Rows with several figures each; a table that is wider than a phone scrolls by itself. */
export const FiguresTable = ({
  title,
  table,
  isHeaded = false,
}: {
  title: string;
  table: Figures;
  /** A heading above it says the title already. */ isHeaded?: boolean;
}) => (
  <div className="overflow-x-auto self-start" tabIndex={0} role="group" aria-label={title}>
    <table className="w-full text-left">
      <thead>
        <tr className="border-b border-ink text-hint">
          <th className="py-1">
            <span className={isHeaded ? 'sr-only' : ''}>{title}</span>
          </th>
          {table.head.map((h) => (
            <th key={h} className="py-1 pl-3 text-right">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {table.rows.map((r) => (
          <tr key={r.href ?? r.name} className="border-b border-rule">
            <th scope="row" className="py-1 font-normal">
              <LinkedName href={r.href} name={r.name} />
            </th>
            {r.cells.map((c, i) => (
              <td key={table.head[i]} className="py-1 pl-3 text-right whitespace-nowrap">
                {c}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);
