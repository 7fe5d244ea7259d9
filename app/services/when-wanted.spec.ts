import { routeOf } from './when-wanted';

describe('the route of an address', () => {
  const routes = ['sheets', 'sheets/:id', 'run/:id', 'log'];

  it('is found whatever its id, its question and its place in the page', () => {
    expect(routeOf('/sheets', routes)).toBe('sheets');
    expect(routeOf('/sheets/demo-ten-minutes?from=log#blocks', routes)).toBe('sheets/:id');
    expect(routeOf('/run/3f', routes)).toBe('run/:id');
  });

  it('is none for what is elsewhere', () => {
    expect(routeOf('/run', routes)).toBeNull();
    expect(routeOf('/run/3f/more', routes)).toBeNull();
    expect(routeOf('', routes)).toBeNull();
  });
});
