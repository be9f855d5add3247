// A CSV of the shelf to the server, as it is.
import { Problem, sendText, type Schemas } from '../../lib/api';

export async function importShelf(file: File): Promise<Schemas['ImportedOut']> {
  if (file.size > 2 * 2 ** 20)
    throw new Problem({
      type: 'about:blank',
      title: 'Too large',
      status: 413,
      detail: `${file.name} has ${Math.round(file.size / 2 ** 20)} MB; a shelf of up to 2 MB is read.`,
      remedy: 'Split it.',
      reason: 'too_large',
      stage: '',
      errors: [],
      headers: [],
    });
  return sendText<Schemas['ImportedOut']>('/api/shelf/import', await file.text(), 'text/csv');
}
