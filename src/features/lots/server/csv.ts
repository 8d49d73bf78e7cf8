import Papa from 'papaparse';

/**
 * Rows as a CSV file to save; cells that a spreadsheet would take for formulas are kept as text.
 * @param notice its first line, where the log behind it does not fit
 */
export const answerCsv = (rows: readonly object[], name: string, notice: string | null): Response =>
  new Response(
    (notice === null ? '' : `${Papa.unparse([[notice]])}\r\n`) +
      Papa.unparse([...rows], { escapeFormulae: true }),
    {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': `attachment; filename="${name}.csv"`,
      },
    },
  );
