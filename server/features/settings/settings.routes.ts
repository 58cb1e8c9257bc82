import { Router } from 'express';
import { CURRENCIES } from '#core/money/money.ts';
import { settingsPaths, settingsQuery, type SettingsView } from '#contract/settings.ts';
import { queryOf, type Serving } from '#server/http/respond.ts';
import { currencyOfRecord, pricedIn } from '#server/record-currency.ts';

export function settingsRoutes(services: Serving): Router {
  const router = Router();
  router.get(settingsPaths.page, (req, res) => {
    const { playerId } = queryOf(settingsQuery, req);
    const asked = services(req);
    const settled = asked.settings.of(playerId);
    const view: SettingsView = {
      playerId,
      roomCelsius: settled?.roomCelsius ?? null,
      tuningHertz: settled?.tuningHertz ?? null,
      reedWish: settled?.reedWish ?? 'usual',
      currency: currencyOfRecord(asked),
      isPriced: pricedIn(asked) !== null,
      currencies: [...CURRENCIES],
    };
    res.json(view);
  });
  return router;
}
