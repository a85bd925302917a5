import type { BeforeApplicationShutdown, OnApplicationBootstrap } from '@nestjs/common';
import { Loop, type LoopOptions } from './loop.js';

/** A loop that runs from the server's start to its end. */
export abstract class LoopOfServer implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly loop: Loop;

  protected constructor(work: () => Promise<unknown>, options: LoopOptions) {
    this.loop = new Loop(work, options);
  }

  onApplicationBootstrap(): void {
    this.loop.start();
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.loop.stop();
  }
}
