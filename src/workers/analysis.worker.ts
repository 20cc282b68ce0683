import '@/core/zodSetup';
import { expose } from 'comlink';
import { analyse } from '@/core/analyse';
import type { AnalysisService } from './contract';

const service: AnalysisService = {
  analyse(design, options) {
    const start = performance.now();
    try {
      const analysis = analyse(design, options);
      return { kind: 'done', analysis, milliseconds: performance.now() - start };
    } catch (error) {
      return { kind: 'failed', message: error instanceof Error ? error.message : String(error) };
    }
  },
};

expose(service);
