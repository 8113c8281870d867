// The first thing that Tab meets on every page: past its head to where the work is (WCAG 2.4.1).
const work = document.querySelector('main');
if (work !== null) {
  work.id ||= 'work';
  const skip = document.createElement('a');
  skip.href = '#' + work.id;
  skip.id = 'skip';
  skip.textContent = 'To the work';
  skip.addEventListener('click', e => {
    const to = document.querySelector<HTMLElement>('main');
    if (to === null) return;
    e.preventDefault();
    to.tabIndex = -1;
    to.focus();
  });
  document.body.prepend(skip);
}
