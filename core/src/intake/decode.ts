/** Turns bytes into text under a label of the Encoding Standard; throws where the bytes do not fit and `fatal` is set. */
export type DecodeBytes = (bytes: Uint8Array, label: string, fatal: boolean) => string;

export type Decoded = { readonly text: string; readonly encoding: string } | { readonly refused: string };

/** The encoding that the first bytes declare or, without a mark, that every other byte of zero betrays. */
function encodingOf(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const sample = bytes.subarray(0, 1000);
  let even = 0;
  let odd = 0;
  sample.forEach((byte, at) => {
    if (byte !== 0) return;
    if (at % 2 === 0) even++;
    else odd++;
  });
  if (odd > sample.length / 4 && even === 0) return 'utf-16le';
  if (even > sample.length / 4 && odd === 0) return 'utf-16be';
  return 'utf-8';
}

/**
 * The text of a file's bytes, without a byte order mark: UTF-8, UTF-16 of either order, else
 * Windows-1252. Bytes that are no text are refused, with the reason.
 */
export function decodeFile(bytes: Uint8Array, decode: DecodeBytes): Decoded {
  const encoding = encodingOf(bytes);
  if (encoding === 'utf-8' && bytes.subarray(0, 8000).includes(0)) return { refused: 'it holds bytes that are not text' };
  try {
    return { text: withoutMark(decode(bytes, encoding, true)), encoding };
  } catch {
    return { text: withoutMark(decode(bytes, 'windows-1252', false)), encoding: 'windows-1252' };
  }
}

function withoutMark(text: string): string {
  return text.charCodeAt(0) === 0xfeff ? text.slice(1) : text;
}
