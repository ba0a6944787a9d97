/**
 * The cells of a text from the clipboard as spreadsheets put them there: tabs between cells, those
 * that hold a tab, a quote or a line break in quotes. One cell where there is nothing of that.
 */
export async function clipboardCells(text: string): Promise<readonly (readonly string[])[]> {
  const { default: papaparse } = await import('papaparse');
  const { data } = papaparse.parse(text.replace(/(?:\r\n|\r|\n)$/, ''), { delimiter: '\t' });
  return data.length === 0 ? [['']] : data;
}
