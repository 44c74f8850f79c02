import { type Response, Router } from 'express';
import { MeterRequest, ScanRequest, ShotRequest, type TakenPicture, type TakingLine } from '../../contracts/index.ts';
import { CancelledError, type Run } from '../../core/run/index.ts';
import { Refused } from '../refused.ts';
import { type Devices, listDevices } from '../services/devices.ts';
import { bodyOf, json } from './handle.ts';

/** Pictures that were taken and not fetched yet; older ones make room. */
const KEPT = 4;

/** Scanner, camera and meter. A picture is taken while lines of JSON say how far it is; closing the request stops it. */
export function deviceRoutes(devices: Devices): Router {
  const router = Router();
  const pictures = new Map<string, TakenPicture>();
  const keep = (picture: TakenPicture): string => {
    const id = `p${Date.now().toString(36)}${pictures.size}`;
    pictures.set(id, picture);
    if (pictures.size > KEPT) pictures.delete(pictures.keys().next().value!);
    return id;
  };
  router.get(
    '/',
    json(async () => listDevices(devices)),
  );
  router.get(
    '/scanner/subjects',
    json(() => devices.scanner.subjects()),
  );
  router.get(
    '/camera/subjects',
    json(() => devices.camera.subjects()),
  );
  router.post('/scanner/scan', async (request, response) => {
    const wanted = bodyOf(ScanRequest, request);
    await take(response, (run) => devices.scanner.scan(wanted, run), keep);
  });
  router.post('/camera/shoot', async (request, response) => {
    const wanted = bodyOf(ShotRequest, request);
    await take(response, (run) => devices.camera.shoot(wanted, run), keep);
  });
  router.get('/pictures/:id', (request, response) => {
    const picture = pictures.get(request.params.id);
    if (!picture) throw new Refused(404, 'This picture is gone. Take it again.');
    response.type(picture.mime).set('Cache-Control', 'no-store').send(Buffer.from(picture.bytes));
  });
  router.post(
    '/meter/read',
    json(async (request) => {
      const wanted = bodyOf(MeterRequest, request);
      return devices.meter.read(wanted).catch((error: unknown) => {
        if (error instanceof RangeError) throw new Refused(422, error.message);
        throw error;
      });
    }),
  );
  return router;
}

async function take(
  response: Response,
  picture: (run: Run) => Promise<TakenPicture>,
  keep: (picture: TakenPicture) => string,
): Promise<void> {
  let gone = false;
  response.on('close', () => (gone = true));
  response.type('application/x-ndjson').set({ 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' });
  const say = (line: TakingLine) => {
    response.write(JSON.stringify(line) + '\n');
    response.flush?.();
  };
  try {
    let said = -1;
    const taken = await picture({
      cancelled: () => gone,
      now: () => performance.now(),
      progress(share, doing) {
        if (share - said < 0.02) return;
        said = share;
        say({ share, doing });
      },
    });
    say({ picture: keep(taken), name: taken.name });
  } catch (error) {
    if (error instanceof CancelledError) return void response.end();
    const own = error instanceof RangeError || error instanceof Refused;
    if (!own) response.req.log.error(error);
    say({ sentence: own ? error.message : 'The device stopped. Try again.' });
  }
  response.end();
}
