// What was typed in a field before, asked for when the field gets the focus.
import { client, Problem, take } from './api';

export class Suggestions {
  private lists = $state<Record<string, string[]>>({});

  of(field: string): string[] {
    return this.lists[field] ?? [];
  }

  /** Ask the server. Without an answer the field simply offers nothing. */
  async ask(field: string, within = ''): Promise<void> {
    try {
      const found = await take(client.GET('/api/suggestions', { params: { query: { field, within } } }));
      this.lists = { ...this.lists, [field]: found.suggestions };
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
    }
  }
}
