/**
 * Temperature as colour: slate, plum, ember, straw, lightness always rising, so that it reads the same without hue.
 * Mixed in OKLab (Ottosson 2020), where equal steps look equal.
 */
type Lab = readonly [number, number, number];

const STOPS: readonly { celsius: number; lab: Lab }[] = [
  { celsius: 0, lab: polar(0.3, 0.035, 250) },
  { celsius: 30, lab: polar(0.4, 0.085, 330) },
  { celsius: 55, lab: polar(0.52, 0.15, 15) },
  { celsius: 75, lab: polar(0.66, 0.17, 47) },
  { celsius: 100, lab: polar(0.84, 0.13, 80) },
  { celsius: 180, lab: polar(0.94, 0.07, 95) },
];

function polar(lightness: number, chroma: number, hue: number): Lab {
  const angle = (hue * Math.PI) / 180;
  return [lightness, chroma * Math.cos(angle), chroma * Math.sin(angle)];
}

export function temperatureRgb(celsius: number): [number, number, number] {
  let before = STOPS[0];
  for (const stop of STOPS) {
    if (stop.celsius >= celsius || before === undefined) {
      const from = before ?? stop;
      const share = stop.celsius === from.celsius ? 0 : Math.max(0, Math.min(1, (celsius - from.celsius) / (stop.celsius - from.celsius)));
      return rgb([mix(from.lab[0], stop.lab[0], share), mix(from.lab[1], stop.lab[1], share), mix(from.lab[2], stop.lab[2], share)]);
    }
    before = stop;
  }
  return rgb(before?.lab ?? [0.5, 0, 0]);
}

export function temperatureCss(celsius: number): string {
  return `rgb(${temperatureRgb(celsius).join(' ')})`;
}

/** Luminance of the colour as WCAG counts it, 0 to 1: rising with the temperature. */
export function luminance(celsius: number): number {
  const [r, g, b] = temperatureRgb(celsius).map((value) => linear(value / 255)) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Black or white, whichever reads better on this temperature: 4.58 : 1 at the least, where both are alike. */
export function inkOn(celsius: number): string {
  return luminance(celsius) > 0.179 ? '#000' : '#fff';
}

const mix = (from: number, to: number, share: number) => from + (to - from) * share;
const linear = (value: number) => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4);
const gamma = (value: number) =>
  Math.round(255 * Math.max(0, Math.min(1, value <= 0.0031308 ? 12.92 * value : 1.055 * value ** (1 / 2.4) - 0.055)));

function rgb([L, a, b]: Lab): [number, number, number] {
  const l = (L + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const m = (L - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const s = (L - 0.0894841775 * a - 1.291485548 * b) ** 3;
  return [
    gamma(4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s),
    gamma(-1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s),
    gamma(-0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s),
  ];
}
