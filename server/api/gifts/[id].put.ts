export default giftRoutes.put()
