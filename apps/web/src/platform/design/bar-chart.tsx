/** A small bar chart with its figures as a table for who does not see it. */
import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js';
import { useEffect, useRef, useSyncExternalStore, type ReactElement } from 'react';

Chart.register(BarController, BarElement, CategoryScale, LinearScale);

export function BarChart({
  label,
  labels,
  values,
}: {
  readonly label: string;
  readonly labels: readonly string[];
  readonly values: readonly number[];
}): ReactElement {
  const theme = useSyncExternalStore(watchTheme, shownTheme);
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!canvas.current) return;
    const style = getComputedStyle(document.documentElement);
    const token = (name: string): string => style.getPropertyValue(`--color-${name}`).trim();
    const chart = new Chart(canvas.current, {
      type: 'bar',
      data: {
        labels: [...labels],
        datasets: [{ data: [...values], backgroundColor: token('ink'), maxBarThickness: 18, borderRadius: 2 }],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        scales: {
          x: { grid: { display: false }, ticks: { color: token('muted'), maxRotation: 0 } },
          y: { beginAtZero: true, grid: { color: token('line') }, ticks: { precision: 0, color: token('muted') } },
        },
      },
    });
    return () => chart.destroy();
  }, [labels, values, theme]);
  return (
    <figure className="m-0 min-w-0">
      <figcaption className="mb-1 text-small text-muted">{label}</figcaption>
      <div className="relative h-36">
        <canvas ref={canvas} aria-hidden />
      </div>
      <table className="sr-only">
        <caption>{label}</caption>
        <tbody>
          {labels.map((name, index) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td>{values[index]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </figure>
  );
}

/** The chart is a painting: it is painted again when the colours of the page change. */
function watchTheme(changed: () => void): () => void {
  const observer = new MutationObserver(changed);
  observer.observe(document.documentElement, { attributeFilter: ['data-theme'] });
  return () => observer.disconnect();
}

function shownTheme(): string | undefined {
  return document.documentElement.dataset.theme;
}
