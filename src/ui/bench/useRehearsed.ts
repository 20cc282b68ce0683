import { useAppSelector } from '@/store/hooks';

/** Whether the design that is open is built against a made-up airframe, and read by the made-up meter. */
export const useRehearsed = (): boolean =>
  useAppSelector(
    ({ bench, session, settings }) =>
      bench.rehearsing !== null && bench.rehearsing === session.id && settings.meter === 'standIn',
  );
