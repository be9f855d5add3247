// One file on its way to the server: how far it is, how to stop it, and what was refused.
import { say } from '$words/page-measure.ftl';
import { Problem, type Run, type Upload } from '../../lib/api';

export class FileOnItsWay {
  file = $state<File | null>(null);
  share = $state(0);
  problem = $state<Problem | null>(null);
  #upload = $state<Upload | null>(null);

  get busy(): boolean {
    return this.#upload !== null;
  }

  get label(): string {
    const name = this.file?.name ?? '';
    return this.share < 1
      ? say('upload-sending', { name, share: Math.round(this.share * 100) })
      : say('upload-reading', { name });
  }

  /** Send; gives the run, or null when it was refused, with the reason kept in problem. */
  async send(
    file: File,
    refused: Problem | null,
    start: (progress: (share: number) => void) => Upload,
  ): Promise<Run | null> {
    this.file = file;
    this.problem = refused;
    if (refused) return null;
    this.share = 0;
    this.#upload = start((share) => (this.share = share));
    try {
      return await this.#upload.done;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.problem = error;
      return null;
    } finally {
      this.#upload = null;
    }
  }

  stop(): void {
    this.#upload?.cancel();
  }

  forget(): void {
    this.file = null;
    this.problem = null;
  }
}
