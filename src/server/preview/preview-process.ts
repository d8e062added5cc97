import { type HouseRules, knowledgeOf } from '@/core/knowledge/house-rules';
import { type PictureChange, previewOf } from '@/core/prescribe/counterfactual/preview';
import { giveWay } from '../heavy/give-way';
import { storedPicture } from '../services/knowledge/stored-picture';

/** Told once, which rules give way to which; then page after page of stored pictures. */
export type PreviewAsked =
  | { before: HouseRules; after: HouseRules }
  /** JSON texts of findings and choices, as they lie in the database. */
  | { page: { picture: string; choices: string }[] };
export type PreviewSaid = (PictureChange | null)[];

// Beside the server, in a process of its own that gives way: signing in and saving go on at their pace.
giveWay(10);

let preview: ReturnType<typeof previewOf> | null = null;

process.on('message', (request: PreviewAsked) => {
  if ('page' in request)
    process.send?.(
      request.page.map(
        ({ picture, choices }) => preview?.(storedPicture(JSON.parse(picture), JSON.parse(choices))) ?? null,
      ),
    );
  else preview = previewOf(knowledgeOf(request.before), knowledgeOf(request.after));
});
process.on('disconnect', () => process.exit());
