import '@/core/1-base/zodSetup';
import { finish } from '@/core/1-base/steps';
import { UnsteadyError } from '@/core/1-base/numeric/dormandPrince';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import { numbersOf } from '@/core/6-groups/solve';
import { evenWind } from '@/core/7-flight/air';
import { fly } from '@/core/7-flight/fly';
import { gustyWind } from '@/core/7-flight/gusts';
import { flyingModel } from '@/core/7-flight/flyingModel';
import { LAUNCHES, launchingOf } from '@/core/7-flight/launches';
import { PILOTS } from '@/core/7-flight/pilots';
import { thrustOf } from '@/core/7-flight/thrust';
import { readCommand, readOneDesign } from './command';
import { numberOf, refuse } from './refuse';

const HELP = `Usage: npm run -s fly -- FILE.json [options]

Launches a design and follows it to the ground: six degrees of freedom, every
strip in its own air, through the stall. Prints one JSON object: SI units and
radians; x is ahead of the launch point, y to the right of it, z height.

  --launch L        ${LAUNCHES.join(', ')} (default hand)
  --speed V         over ground [m/s]; without it what that launch usually gives
  --begin B         rest or free: off a bungee and wheels the pull and the run are flown too, or it begins
                    where they let go (default rest; free where --height is given)
  --path DEG        of the path against the horizon, up positive; of the held nose on a line
  --height H        of the balance point above the ground [m]
  --wind W          mean wind against the launch [m/s] (default 0)
  --gusts           it gusts as wind does near the ground (Dryden)
  --pilot P         ${PILOTS.join(', ')} (default handsOff)
  --throttle T      0 to 1; without it no power, on wheels full
  --seconds T       at most so long (default 30)
  --scale S         flies the dynamically alike model of that scale, without power: mass S³, its own
                    Reynolds numbers; speed, height and seconds are its own
  --help            this text

Beyond the stall the strips are estimates (±30 %), and drives that tilt have never
been compared with flights. Nothing here says that an aircraft is safe. Faults of the file go to standard error with their place;
exit status 2.`;

const OPTIONS = {
  launch: { type: 'string', default: 'hand' },
  speed: { type: 'string' },
  begin: { type: 'string' },
  path: { type: 'string' },
  height: { type: 'string' },
  wind: { type: 'string' },
  gusts: { type: 'boolean', default: false },
  pilot: { type: 'string', default: 'handsOff' },
  throttle: { type: 'string' },
  seconds: { type: 'string', default: '30' },
  scale: { type: 'string', default: '1' },
} as const;

function main(): void {
  const { values, positionals } = readCommand(OPTIONS, HELP);
  const { design, file } = readOneDesign(positionals);
  const kind = LAUNCHES.find((name) => name === values.launch);
  if (!kind) return refuse([`--launch ${values.launch}: give ${LAUNCHES.join(', ')}.`]);
  const pilot = PILOTS.find((name) => name === values.pilot);
  if (!pilot) return refuse([`--pilot ${values.pilot}: give ${PILOTS.join(', ')}.`]);
  const scale = numberOf('scale', values.scale, 0.05, 5);
  const seconds = numberOf('seconds', values.seconds, 0.1, 300);
  const throttle = values.throttle === undefined ? null : numberOf('throttle', values.throttle, 0, 1);
  if (throttle !== null && throttle > 0 && scale !== 1)
    return refuse(['--throttle with --scale: a scaled model flies without power. Leave one of them out.']);
  const isPowered = throttle !== null ? throttle > 0 : kind === 'wheels' && scale === 1;
  const model = flyingModel(design, { scale, isPowered });
  if ('because' in model) return refuse([`${file}: ${model.because}`]);
  const begin = values.begin ?? (values.height === undefined ? 'rest' : 'free');
  if (begin !== 'rest' && begin !== 'free') return refuse([`--begin ${begin}: give rest or free.`]);
  const usual = launchingOf(kind, model, numbersOf(design).speeds.stall, begin === 'rest');
  const thrust = isPowered ? thrustOf(model.prepared, throttle ?? 1) : undefined;
  if (thrust && 'because' in thrust) return refuse([`${file}: ${thrust.because}`]);
  const { launch } = usual;
  const wind = values.wind === undefined ? 0 : numberOf('wind', values.wind, -20, 20);
  if (wind !== 0 && usual.air)
    return refuse(['--wind with --launch hill: the wind over a hill is its own. Leave one of them out.']);
  const given = {
    ...launch,
    speed: values.speed === undefined ? launch.speed * Math.sqrt(scale) : numberOf('speed', values.speed, 0.1, 60),
    path: values.path === undefined ? launch.path : radiansFromDegrees(numberOf('path', values.path, -90, 90)),
    height: values.height === undefined ? launch.height : numberOf('height', values.height, 0.1, 1000),
  };
  const blowing = values.gusts ? gustyWind(wind, given.height) : evenWind(wind);
  const air = usual.air ?? (wind === 0 ? undefined : blowing);
  try {
    const { samples, events, ...outcome } = finish(
      fly(
        model,
        {
          launch: given,
          pilot,
          longest: seconds,
          ...(thrust ? { thrust } : {}),
          ...(air ? { air } : {}),
          ...(usual.terrain ? { terrain: usual.terrain } : {}),
          ...(usual.carriedBy ? { carriedBy: usual.carriedBy } : {}),
        },
        scale,
      ),
    );
    process.stdout.write(
      `${JSON.stringify({ format: 'inclinar-flight', version: 1, launch: { kind, pilot, ...given }, samples, ...outcome, events }, null, 2)}\n`,
    );
  } catch (error) {
    if (error instanceof UnsteadyError) return refuse([`${file}: ${error.message}`]);
    throw error;
  }
}

main();
