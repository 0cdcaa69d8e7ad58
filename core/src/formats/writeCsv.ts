import Papa from 'papaparse';

/**
 * Writes rows as CSV with a header row, comma separated, CRLF, as RFC 4180 has it. Texts that a spreadsheet would take for
 * formulas are marked as texts.
 * @param head whether the names of the columns come first
 */
export const writeCsv = (rows: readonly object[], head = true): string =>
  rows.length === 0 ? '' : `${Papa.unparse([...rows], { escapeFormulae: true, header: head })}\r\n`;
