/** How fast a sound or film plays. Without this script it plays at its own speed. */
const speeds = [0.75, 1, 1.25, 1.5] as const;

const media = document.querySelector<HTMLMediaElement>('audio, video');
if (media) {
  const number = new Intl.NumberFormat(document.documentElement.lang);
  const box = document.createElement('fieldset');
  box.className = 'speeds';
  const legend = document.createElement('legend');
  legend.textContent = media.dataset.speed ?? '';
  box.append(legend);
  const buttons = speeds.map((speed) => {
    const button = document.createElement('button');
    button.type = 'button';
    button.dir = 'ltr';
    button.textContent = `${number.format(speed)}×`;
    button.addEventListener('click', () => {
      media.playbackRate = speed;
    });
    box.append(button);
    return { button, speed };
  });
  const show = (): void => {
    for (const { button, speed } of buttons) button.setAttribute('aria-pressed', String(speed === media.playbackRate));
  };
  media.addEventListener('ratechange', show);
  show();
  media.after(box);
}
