"use client";

import type { Level, Room } from "@/core/inventory/inventory";
import { ofSingles } from "@/lib/forms";
import { CheckField, ChoiceField, SelectField, TextField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";

type Common = { action: FormAction; initial: FormView };

const STACK = "flex flex-col gap-4 pb-2";

export function RoomForm({
  action,
  initial,
  levels,
  isNew,
}: Common & { levels: Level[]; isNew: boolean }) {
  return (
    <Form
      {...{ action, initial }}
      schema={() => import("./rooms-form").then(({ roomForm }) => ofSingles(roomForm))}
      submit={isNew ? "Add the room" : "Save"}
      stays={false}
    >
      <div className={STACK}>
        <TextField label="Room" name="name" />
        <SelectField
          label="Level"
          name="levelId"
          options={levels.map((level) => ({ value: level.id, label: level.name }))}
        />
        <CheckField name="sleeps" label="Somebody sleeps there" />
      </div>
    </Form>
  );
}

export function RegisterForm({ action, initial, rooms }: Common & { rooms: Room[] }) {
  return (
    <Form
      {...{ action, initial }}
      schema={() => import("./rooms-form").then(({ registerForm }) => ofSingles(registerForm))}
      submit="Add the register"
      stays={false}
    >
      <div className={STACK}>
        <SelectField
          label="In the room"
          name="roomId"
          options={rooms.map((room) => ({ value: room.id, label: room.name }))}
        />
        <ChoiceField
          label="There the air"
          name="role"
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
        />
      </div>
    </Form>
  );
}

export function LevelForm({ action, initial }: Common) {
  return (
    <Form
      {...{ action, initial }}
      schema={() => import("./rooms-form").then(({ levelForm }) => ofSingles(levelForm))}
      submit="Add the level"
      stays={false}
    >
      <div className={STACK}>
        <TextField label="Name of the level" name="name" id="level-name" />
        <ChoiceField
          label="It is"
          name="place"
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
        />
      </div>
    </Form>
  );
}
