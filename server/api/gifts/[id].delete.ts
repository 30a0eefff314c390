export default giftRoutes.remove()
