import { t } from '@lingui/core/macro';

import { DetailPage } from '@/frame/DetailPage';
import { WhereCodesExpand } from '@/parts/where/WhereCodesExpand';

export default function Where() {
  return (
    <DetailPage title={t`Where codes expand`} about="where" back={{ label: t`Back to the list`, href: '/' }}>
      <WhereCodesExpand />
    </DetailPage>
  );
}
