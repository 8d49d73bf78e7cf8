import { proposal } from './proposal';

describe('what is proposed for a new heap', () => {
  const heap = (code: string, bay: string | null, state = 'running') => ({ code, bay, state });
  test('the next bird and the first free bay', () => {
    expect(proposal([])).toEqual({ code: 'A', name: 'Avocet', bay: '1' });
    expect(proposal([heap('A', '1'), heap('b', '2'), heap('C', '3', 'released')])).toEqual({
      code: 'D',
      name: 'Dunnock',
      bay: '3',
    });
  });
  test('after the alphabet it begins anew, with a figure', () => {
    expect(proposal([...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((c) => heap(c, null)))).toEqual({
      code: 'A2',
      name: 'Avocet 2',
      bay: '1',
    });
  });
});
