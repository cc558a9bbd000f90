import Joi from 'joi';
import { reportPage } from '../../paper';
import { inMoneyOf } from '../../server/context/ownMoney';
import { endpoint } from '../../server/http/endpoint';
import { pageResponse } from '../../server/http/pageResponse';
import { openLink } from '../../server/reports/links';

const tokenPath = Joi.object<{ token: string }>({ token: Joi.string().max(80).required() });

/** One report, to whoever has its link: nothing else can be seen from here. */
export const GET = endpoint({
  may: 'anyone',
  path: tokenPath,
  run: async ({ path: { token } }) => {
    const { account, title, content } = await openLink(token);
    return inMoneyOf(account, () => pageResponse(reportPage(title, content)));
  },
});
