import { Body, Controller, HttpCode, Param, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { undoSchema, type EditTaken, type Person, type UndoRequest } from '@even-lantern/contract';
import { EditsReview } from '../edits/reviewEdit.js';
import { bodyOf } from '../http/openApi.js';
import { Validated } from '../http/validated.js';
import { Actor } from '../people/people.js';
import { EditsService } from './editsService.js';

/** Taking edits back, and doing them again. */
@ApiTags('reviews')
@Controller('reviews/:id')
export class UndoController {
  constructor(private readonly edits: EditsService) {}

  @Post('undo')
  @EditsReview({ undoable: false })
  @HttpCode(200)
  @ApiOperation({ summary: 'Take back what this person did last; what others did stays' })
  @ApiBody(bodyOf(undoSchema))
  undo(
    @Param('id') id: string,
    @Body(new Validated(undoSchema)) { since }: UndoRequest,
    @Actor() person: Person,
  ): Promise<EditTaken> {
    return this.edits.undo(id, since, person);
  }

  @Post('redo')
  @EditsReview({ undoable: false })
  @HttpCode(200)
  @ApiOperation({ summary: 'Do again what this person took back last' })
  redo(@Param('id') id: string, @Actor() person: Person): Promise<EditTaken> {
    return this.edits.redo(id, person);
  }
}
