import { memo, useState } from 'react';
import { useEdits } from '@/features/shoot/open-shoot';
import { changeItem, type ItemList } from '@/records/edit-site';
import { Field } from '@/ui/Field';

const LONGEST = 60;

/** The name of a thing, to type. It is taken when the field is left or Enter is pressed. */
export const NameField = memo(function NameField({
  list,
  id,
  name,
}: {
  readonly list: ItemList;
  readonly id: string;
  readonly name: string;
}) {
  const { update } = useEdits();
  const [typed, setTyped] = useState<string>();
  const wished = (typed ?? name).trim();
  const take = () => {
    if (typed === undefined || wished === '') return;
    setTyped(undefined);
    if (wished !== name) {
      update((current) => changeItem(current, list, id, (item) => ({ ...item, name: wished })));
    }
  };
  return (
    <Field
      label="Name"
      value={typed ?? name}
      maxLength={LONGEST}
      onChangeText={setTyped}
      onBlur={take}
      onSubmitEditing={take}
      error={typed !== undefined && wished === '' ? 'the name is empty' : undefined}
    />
  );
});
