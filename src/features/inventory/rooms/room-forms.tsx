"use client";

import type { Level, Room } from "@/core/inventory/inventory";
import { CheckField, ChoiceField, SelectField, TextField } from "@/ui/field";
import { Form, type FormView } from "@/ui/form";

type Action = (state: FormView, form: FormData) => Promise<FormView>;
type Common = { action: Action; initial: FormView };

const STACK = "flex flex-col gap-4 pb-2";

export function RoomForm({
  action,
  initial,
  levels,
  isNew,
}: Common & { levels: Level[]; isNew: boolean }) {
  return (
    <Form action={action} initial={initial} submit={isNew ? "Add the room" : "Save"} stays={false}>
      {(fields) => (
        <div className={STACK}>
          <TextField
            label="Room"
            name="name"
            defaultValue={fields.value("name")}
            error={fields.error("name")}
          />
          <SelectField
            label="Level"
            name="levelId"
            defaultValue={fields.value("levelId")}
            error={fields.error("levelId")}
            options={levels.map((level) => ({ value: level.id, label: level.name }))}
          />
          <CheckField
            name="sleeps"
            label="Somebody sleeps there"
            defaultChecked={fields.value("sleeps") === "on"}
          />
        </div>
      )}
    </Form>
  );
}

export function RegisterForm({ action, initial, rooms }: Common & { rooms: Room[] }) {
  return (
    <Form action={action} initial={initial} submit="Add the register" stays={false}>
      {(fields) => (
        <div className={STACK}>
          <SelectField
            label="In the room"
            name="roomId"
            defaultValue={fields.value("roomId")}
            error={fields.error("roomId")}
            options={rooms.map((room) => ({ value: room.id, label: room.name }))}
          />
          <ChoiceField
            label="There the air"
            name="role"
            defaultValue={fields.value("role")}
            error={fields.error("role")}
            options={[
              { value: "supply", label: "comes in" },
              { value: "return", label: "goes back" },
            ]}
          />
          <TextField
            label="Which one"
            name="place"
            id="register-place"
            hint="“Under the window.” Empty if it is the only one."
            defaultValue={fields.value("place")}
            error={fields.error("place")}
          />
        </div>
      )}
    </Form>
  );
}

export function LevelForm({ action, initial }: Common) {
  return (
    <Form action={action} initial={initial} submit="Add the level" stays={false}>
      {(fields) => (
        <div className={STACK}>
          <TextField
            label="Name of the level"
            name="name"
            id="level-name"
            defaultValue={fields.value("name")}
            error={fields.error("name")}
          />
          <ChoiceField
            label="It is"
            name="place"
            defaultValue={fields.value("place")}
            error={fields.error("place")}
            options={[
              { value: "inside", label: "in the house" },
              { value: "outbuilding", label: "an outbuilding" },
              { value: "outdoors", label: "outdoors" },
            ]}
          />
          <TextField
            label="Storeys above the ground floor"
            name="storey"
            inputMode="numeric"
            className="max-w-28"
            defaultValue={fields.value("storey")}
            error={fields.error("storey")}
          />
        </div>
      )}
    </Form>
  );
}
