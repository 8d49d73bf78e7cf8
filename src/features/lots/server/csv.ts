import Papa from 'papaparse';

/** Rows as a CSV file to save; cells that a spreadsheet would take for formulas are kept as text. */
export const answerCsv = (rows: readonly object[], name: string): Response =>
  new Response(Papa.unparse([...rows], { escapeFormulae: true }), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${name}.csv"`,
    },
  });
