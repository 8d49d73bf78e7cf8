import type { MemberRole } from '@/core/log/entered-by';
import { say } from '@/messages/say';

/** What a role is called. */
export function roleName(role: MemberRole): string {
  switch (role) {
    case 'manager':
      return say('people.manager');
    case 'recorder':
      return say('people.recorder');
    case 'crew':
      return say('people.crew');
    case 'trainee':
      return say('people.trainee');
    case 'partner':
      return say('people.partner');
  }
}

/** What somebody in a role does here. */
export function roleTells(role: MemberRole): string {
  switch (role) {
    case 'manager':
      return say('people.managerTells');
    case 'recorder':
      return say('people.recorderTells');
    case 'crew':
      return say('people.crewTells');
    case 'trainee':
      return say('people.traineeTells');
    case 'partner':
      return say('people.partnerTells');
  }
}
