export async function base64Of(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = '';
  for (let from = 0; from < bytes.length; from += 8_192)
    text += String.fromCharCode(...bytes.subarray(from, from + 8_192));
  return btoa(text);
}
