/** What a run of text on a page is. */
export type TextRole = 'H1' | 'H2' | 'P';

/** One heading or paragraph, with the marks of its runs in the content of the page. */
export interface TaggedText {
  role: TextRole;
  marks: number[];
}

/** Frames of graphics that are saved around each run by the writer of the page: of the node, its text, its line, and the run. */
const FRAMES_OF_A_RUN = 2;

/**
 * The operators of a page with every run of text marked (ISO 32000-1, 14.6), and which runs are one heading or paragraph. Text in a
 * drawing, which is clipped, is marked as an artifact: its meaning is said in the lines beside it.
 *
 * @param content operators, one a line, as they are written on a page of a sheet
 * @param roleOf what a run in this size of type is, points
 */
export function tagContent(
  content: string,
  roleOf: (sizePt: number) => TextRole,
): { content: string; texts: TaggedText[] } {
  const out: string[] = [];
  const texts: TaggedText[] = [];
  const clips: boolean[] = [];
  let lowest = Number.NEGATIVE_INFINITY;
  let mark = 0;
  const lines = content.split('\n');
  for (let at = 0; at < lines.length; at += 1) {
    const line = lines[at]!;
    if (line === 'q') clips.push(false);
    if (line === 'Q') {
      clips.pop();
      lowest = Math.min(lowest, clips.length);
    }
    if (line === 'W n' && clips.length > 0) clips[clips.length - 1] = true;
    if (line !== 'BT') {
      out.push(line);
      continue;
    }
    const end = lines.indexOf('ET', at);
    const run = lines.slice(at, end + 1);
    at = end;
    if (clips.includes(true)) {
      out.push('/Artifact BMC', ...run, 'EMC');
      continue;
    }
    const size = Number(/\/\S+ ([\d.]+) Tf/.exec(run.join('\n'))?.[1]);
    const role = roleOf(size);
    const last = texts.at(-1);
    if (last?.role === role && lowest >= clips.length - FRAMES_OF_A_RUN) last.marks.push(mark);
    else texts.push({ role, marks: [mark] });
    out.push(`/${role} <</MCID ${mark}>> BDC`, ...run, 'EMC');
    mark += 1;
    lowest = clips.length;
  }
  return { content: out.join('\n'), texts };
}
