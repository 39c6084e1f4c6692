/**
 * Works out what a working writes: numbers, + − × /, brackets, roots, sin and cos of degrees, acos to degrees.
 * A small recursive descent, so that the tests rest on nothing of the app's.
 */
export function calcExpression(text: string): number {
  const tokens = text.match(/\d+(?:\.\d+)?°?|sin|acos|cos|√|[-−+×/()]/g) ?? [];
  let at = 0;
  const take = (): string => {
    const token = tokens[at];
    if (token === undefined) throw new Error(`“${text}” ends too early`);
    at += 1;
    return token;
  };
  const factor = (): number => {
    const token = take();
    if (token === '-' || token === '−') return -factor();
    if (token === '(') {
      const inner = sum();
      take();
      return inner;
    }
    if (token === 'sin') return Math.sin((factor() * Math.PI) / 180);
    if (token === 'acos') return (Math.acos(factor()) * 180) / Math.PI;
    if (token === 'cos') return Math.cos((factor() * Math.PI) / 180);
    if (token === '√') return Math.sqrt(factor());
    return Number.parseFloat(token);
  };
  const product = (): number => {
    let value = factor();
    while (tokens[at] === '×' || tokens[at] === '/') {
      value = take() === '×' ? value * factor() : value / factor();
    }
    return value;
  };
  const sum = (): number => {
    let value = product();
    while (tokens[at] !== undefined && '+-−'.includes(tokens[at]!)) {
      value = take() === '+' ? value + product() : value - product();
    }
    return value;
  };
  const value = sum();
  if (at !== tokens.length || !Number.isFinite(value))
    throw new Error(`“${text}” is no arithmetic`);
  return value;
}
