// A CSV of the shelf to the server, as it is.
import { say } from '$words/page-shelf.ftl';
import { client, Problem, raw, take, type Schemas } from '../../lib/api';

export async function importShelf(file: File): Promise<Schemas['ImportedOut']> {
  if (file.size > 2 * 2 ** 20)
    throw new Problem({
      type: 'about:blank',
      title: say('import-shelf-too-large'),
      status: 413,
      detail: say('import-shelf-has-mb-shelf-up', { name: file.name, size: Math.round(file.size / 2 ** 20) }),
      remedy: say('import-shelf-split'),
      reason: 'too_large',
      stage: '',
      errors: [],
      headers: [],
    });
  return take(client.POST('/api/shelf/import', raw(await file.text(), 'text/csv')));
}
