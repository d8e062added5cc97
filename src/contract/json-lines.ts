/** Splits text that arrives in pieces into whole lines; what is not yet ended is kept for the next piece. */
export function lineSplitter(): (piece: string) => string[] {
  let rest = '';
  return (piece) => {
    const lines = (rest + piece).split('\n');
    rest = lines.pop() ?? '';
    return lines.filter((line) => line !== '');
  };
}

/** A stream of JSON, a value a line, as the values arrive. */
export async function* jsonLines<T>(body: ReadableStream<Uint8Array>): AsyncGenerator<T> {
  const split = lineSplitter();
  const reader = body
    .pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>)
    .getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    for (const line of split(value)) yield JSON.parse(line) as T;
  }
}
