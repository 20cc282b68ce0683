import { toast } from 'sonner';
import { registerSW } from 'virtual:pwa-register';

/**
 * Keeps the app in the browser, so that it opens without its server; a newer
 * one waits until someone asks for it. Browsers do this at 127.0.0.1 and at
 * trusted secure addresses only.
 * @param flush writes what is not written yet, before the page is loaded anew
 */
export function worksOffline(flush: () => Promise<unknown>): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  const update = registerSW({
    onNeedRefresh: () =>
      toast('A newer Inclinar is here.', {
        duration: Infinity,
        action: { label: 'Use it', onClick: () => void flush().finally(() => update(true)) },
      }),
    onOfflineReady: () => toast('From now on Inclinar opens here without its server too.'),
    // Warned of, not told: nothing is missing while the page is open.
    onRegisterError: (error) => console.warn('Inclinar is not kept for offline use:', error),
  });
}
