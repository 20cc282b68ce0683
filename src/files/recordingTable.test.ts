import { expect, test } from 'vitest';
import { readRecording, recordingCsv } from './recordingTable';

test('what is written is read again; other units are turned into ours', () => {
  const track = [
    { t: 0, speed: 9.25, height: 2, throttle: 1 },
    { t: 0.1, speed: 9.5, height: 2.5 },
  ];
  expect(readRecording(recordingCsv(track))).toEqual({ ok: true, track });
  const other = readRecording('Time (ms);Speed (km/h);Height (ft);GPS\n0;36,0;100,0;x\n200;18,5;0,5;y');
  expect(other).toMatchObject({ ok: true, track: [{ t: 0, speed: 10 }, { t: 0.2 }] });
  if (other.ok) expect(other.track[0]!.height).toBeCloseTo(30.48, 9);
});

test.each([
  ['', /line of heads/],
  ['time_s,height_m\n0,1', /must be time_s, speed_m_s and height_m/],
  ['time_s,speed_m_s,height_m\n0,9,x', /Line 2, height_m/],
  ['time_s,speed_m_s,height_m\n1,9,2\n1,9,2', /Line 3: time must grow/],
  ['time_s,speed_m_s,height_m\n1,900,2', /Line 2: that is no speed/],
])('%s is refused, and why', (text, message) => {
  expect(readRecording(text)).toMatchObject({ ok: false, message: expect.stringMatching(message) });
});
