import { useEffect, useRef } from 'react';

/** Shorter absences are no journey to another service's sharing page. */
const awayMs = 2_000;

/**
 * Opens links again when the teacher comes back to this page, since the sharing may have been fixed in the meantime.
 * @param materialIds those that did not open at the last look
 */
export function useOpenAgainOnReturn(materialIds: readonly string[], open: (materialId: string) => void): void {
  const latest = useRef({ materialIds, open });
  useEffect(() => {
    latest.current = { materialIds, open };
  });
  useEffect(() => {
    let leftAt: number | null = null;
    const leave = (): void => {
      leftAt ??= Date.now();
    };
    const comeBack = (): void => {
      if (leftAt === null || document.visibilityState === 'hidden') return;
      const away = Date.now() - leftAt;
      leftAt = null;
      if (away >= awayMs) for (const id of latest.current.materialIds) latest.current.open(id);
    };
    const change = (): void => (document.visibilityState === 'hidden' ? leave() : comeBack());
    document.addEventListener('visibilitychange', change);
    window.addEventListener('blur', leave);
    window.addEventListener('focus', comeBack);
    return () => {
      document.removeEventListener('visibilitychange', change);
      window.removeEventListener('blur', leave);
      window.removeEventListener('focus', comeBack);
    };
  }, []);
}
