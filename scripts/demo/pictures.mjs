// Small drawings in the colours of the dye plants: a twisted skein in a circle, and one for each tool.
const picture = (name, ground, drawing) => ({
  name,
  mediaType: 'image/svg+xml',
  base64: Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 40"><rect width="40" height="40" fill="${ground}"/>${drawing}</svg>`,
  ).toString('base64'),
});

const twist = (ink) =>
  `<g fill="none" stroke="${ink}" stroke-width="3" stroke-linecap="round"><path d="M9 25c5-13 17-13 22 0"/><path d="M13 27c4-8 10-8 14 0"/><path d="M10 20c8-9 14-9 20 0" opacity=".55"/></g>`;

const dyes = {
  plain: ['#efe9dd', '#c9bda5'],
  wool: ['#efe3cd', '#b9a27a'],
  slate: ['#dcdce2', '#5d6070'],
  heather: ['#e3d3ea', '#6d4a84'],
  moss: ['#dfe8d2', '#4a6a35'],
  madder: ['#f4d7d1', '#a23a2c'],
  walnut: ['#ead8ca', '#7a4a2b'],
  woad: ['#d5e1ee', '#2b5c86'],
  weld: ['#f0e6c0', '#9a7c0c'],
};

const line = (path) =>
  `<path d="${path}" fill="none" stroke="#7a4a2b" stroke-width="2.4" stroke-linecap="round" stroke-linejoin="round"/>`;

const shapes = {
  spindle: line('M20 6v28M13 12h14M15 15h10M17 24c2 3 4 3 6 0'),
  reel: line('M20 8v24M10 10h20M12 30h16M12 12l16 16M28 12L12 28'),
  card: line('M10 12h20v10H10zM20 22v11M13 15v4M17 15v4M21 15v4M25 15v4'),
  needle: line('M9 31L29 9M13 33L33 13M29 9l2-1M33 13l1-2'),
  loom: line('M10 9h20v22H10zM14 9v22M18 9v22M22 9v22M26 9v22M10 18h20'),
  pot: line('M10 16h20l-2 14H12zM8 16h24M15 11c0-2 2-2 2-4M22 11c0-2 2-2 2-4'),
};

export const pictures = [
  ...Object.entries(dyes).map(([name, [ground, ink]]) =>
    picture(`skein-${name}`, ground, twist(ink)),
  ),
  ...Object.entries(shapes).map(([name, drawing]) => picture(`tool-${name}`, '#f1ebdf', drawing)),
];
